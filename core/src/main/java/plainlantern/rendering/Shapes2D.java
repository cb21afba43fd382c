package plainlantern.rendering;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Line;

/** Our paths and maps in the words of Java 2D, and how much of each pixel a form covers. */
final class Shapes2D {
    private Shapes2D() {}

    static AffineTransform transform(Affine map) {
        return new AffineTransform(map.a(), map.b(), map.c(), map.d(), map.e(), map.f());
    }

    /** The area that a line covers, in pixels. */
    static Shape stroked(Line line, Affine toPixels) {
        float scale = (float) ((toPixels.xScale() + toPixels.yScale()) / 2);
        float[] dashes = new float[line.dashes().size()];
        // Java refuses dashes that are all of no length; a dot is as short as can be told.
        for (int i = 0; i < dashes.length; i++) dashes[i] = Math.max(1e-4f, line.dashes().get(i).floatValue() * scale);
        int join = switch (line.join()) {
            case MITER -> BasicStroke.JOIN_MITER;
            case ROUND -> BasicStroke.JOIN_ROUND;
            case BEVEL -> BasicStroke.JOIN_BEVEL;
        };
        int ends = switch (line.ends()) {
            case BUTT -> BasicStroke.CAP_BUTT;
            case ROUND -> BasicStroke.CAP_ROUND;
            case SQUARE -> BasicStroke.CAP_SQUARE;
        };
        return new BasicStroke((float) line.width() * scale, ends, join, (float) Line.MITER_LIMIT,
                dashes.length == 0 ? null : dashes, 0).createStrokedShape(of(line.path().mapped(toPixels)));
    }

    static Shape rectangle(Box box) {
        return new Rectangle2D.Double(box.x(), box.y(), box.width(), box.height());
    }

    /** How much of each of the tile's pixels the form covers, 0 to 255. */
    static byte[] mask(Tile tile, Shape form) {
        BufferedImage mask = new BufferedImage(tile.width(), tile.height(), BufferedImage.TYPE_BYTE_GRAY);
        Graphics2D g = mask.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.translate(-tile.x(), -tile.y());
        g.setColor(Color.WHITE);
        g.fill(form);
        g.dispose();
        return ((DataBufferByte) mask.getRaster().getDataBuffer()).getData();
    }

    /** A path as it is filled. */
    static Shape of(Path path) {
        Path2D out = new Path2D.Double(path.rule() == FillRule.EVEN_ODD ? Path2D.WIND_EVEN_ODD : Path2D.WIND_NON_ZERO);
        path.draw(new Path.Pen<RuntimeException>() {
            @Override
            public void move(Point to) {
                out.moveTo(to.x(), to.y());
            }

            @Override
            public void line(Point to) {
                out.lineTo(to.x(), to.y());
            }

            @Override
            public void cubic(Point control1, Point control2, Point to) {
                out.curveTo(control1.x(), control1.y(), control2.x(), control2.y(), to.x(), to.y());
            }

            @Override
            public void close() {
                out.closePath();
            }
        });
        return out;
    }
}
