package plainlantern.rendering;

import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.awt.image.DataBufferInt;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Unit;
import plainlantern.picture.Joined;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Resample;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.PictureItem;
import plainlantern.sheet.Paper;

/** Scene to pixels. Pictures are decoded and resampled two at a time, and laid down in the scene's order. */
public final class RasterPainter {
    /** More pixels than this are refused before any work. */
    public static final long MOST_PIXELS = 400_000_000;
    private static final int AHEAD = 2;

    private RasterPainter() {}

    /** The width and height in pixels of an output of so many millimetres; throws {@link BadInput} when it is too large or nothing at all. */
    public static int[] size(double mmAcross, double mmDown, double ppi) {
        BadInput.unless(ppi >= 1 && ppi <= 4800, "ppi", "Pixels per inch go from 1 to 4800.");
        long width = Math.max(1, Math.round(mmAcross / Unit.MM_PER_INCH * ppi));
        long height = Math.max(1, Math.round(mmDown / Unit.MM_PER_INCH * ppi));
        if (width * height > MOST_PIXELS) {
            long most = (long) Math.floor(Math.sqrt(MOST_PIXELS / (mmAcross * mmDown)) * Unit.MM_PER_INCH);
            throw new BadInput("ppi", "That makes " + width * height / 1_000_000 + " megapixels. Up to " + most
                    + " ppi is possible for this sheet.");
        }
        return new int[] {(int) width, (int) height};
    }

    /**
     * The whole sheet.
     *
     * @param paper whether the paper is painted; without it (or on paper "none") what no picture covers is transparent
     * @return TYPE_INT_RGB where the paper is painted, else TYPE_INT_ARGB
     */
    public static BufferedImage paint(Scene scene, double ppi, boolean paper, PictureSource pictures) {
        int[] size = size(scene.width(), scene.height(), ppi);
        boolean opaque = paper && scene.paper() instanceof Paper.Plain;
        int type = opaque ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB_PRE;
        BufferedImage page = new BufferedImage(size[0], size[1], type);
        int[] pixels = ((DataBufferInt) page.getRaster().getDataBuffer()).getData();
        if (opaque) Arrays.fill(pixels, 0xFF000000 | ((Paper.Plain) scene.paper()).colour().rgb());
        // A sheet rarely is a whole number of pixels: it is stretched by less than half a pixel to fill its image.
        Affine toPixels = Affine.scale(size[0] / scene.width(), size[1] / scene.height());
        Deque<CompletableFuture<Optional<Painted>>> ahead = new ArrayDeque<>();
        for (Scene.Item item : scene.items()) {
            if (item instanceof PictureItem picture) {
                if (ahead.size() == AHEAD) lay(Joined.of(ahead.remove()), page, pixels);
                ahead.add(CompletableFuture.supplyAsync(() -> painted(picture, toPixels, size, pictures)));
            }
        }
        while (!ahead.isEmpty()) lay(Joined.of(ahead.remove()), page, pixels);
        return opaque ? page : plainAlpha(page);
    }

    /** Resampled pixels and the form that lets them through. */
    private record Painted(Tile tile, Shape form) {}

    private static Optional<Painted> painted(PictureItem item, Affine toPixels, int[] size, PictureSource pictures) {
        Shape form = shape(item.clip().mapped(toPixels));
        Affine map = toPixels.after(item.pixelsToSheet());
        if (!item.covers()) {
            Area shared = new Area(form);
            shared.intersect(new Area(transform(map).createTransformedShape(new Rectangle2D.Double(0, 0, item.width(), item.height()))));
            form = shared;
        }
        Rectangle2D seen = form.getBounds2D().createIntersection(new Rectangle2D.Double(0, 0, size[0], size[1]));
        if (seen.getWidth() <= 0 || seen.getHeight() <= 0) return Optional.empty();
        BufferedImage image = pictures.image(item.picture(), Math.max(map.xScale(), map.yScale()));
        Affine fromImage = map.after(Affine.scale((double) item.width() / image.getWidth(), (double) item.height() / image.getHeight()));
        Box wanted = new Box(seen.getX(), seen.getY(), seen.getWidth(), seen.getHeight());
        return Optional.of(new Painted(Resample.onto(image, fromImage, wanted), form));
    }

    private static void lay(Optional<Painted> painted, BufferedImage page, int[] pixels) {
        if (painted.isEmpty()) return;
        Tile tile = painted.get().tile();
        byte[] mask = mask(tile, painted.get().form());
        int rows = Math.min(tile.height(), page.getHeight() - tile.y());
        int columns = Math.min(tile.width(), page.getWidth() - tile.x());
        for (int y = 0; y < rows; y++) {
            int from = y * tile.width();
            int to = (tile.y() + y) * page.getWidth() + tile.x();
            for (int x = 0; x < columns; x++) {
                pixels[to + x] = over(tile.argb()[from + x], mask[from + x] & 0xFF, pixels[to + x]);
            }
        }
    }

    /** Porter–Duff source over, both with alpha multiplied in, the source first weakened by {@code cover} of 255. */
    static int over(int source, int cover, int backdrop) {
        if (cover == 0) return backdrop;
        if (cover == 255 && source >>> 24 == 255) return source;
        int rest = 255 - times(source >>> 24, cover);
        return channel(source, backdrop, 24, cover, rest) | channel(source, backdrop, 16, cover, rest)
                | channel(source, backdrop, 8, cover, rest) | channel(source, backdrop, 0, cover, rest);
    }

    private static int channel(int source, int backdrop, int shift, int cover, int rest) {
        return Math.min(255, times(source >> shift & 0xFF, cover) + times(backdrop >> shift & 0xFF, rest)) << shift;
    }

    /** a · b / 255, rounded. */
    private static int times(int a, int b) {
        return (a * b + 127) / 255;
    }

    /** How much of each of the tile's pixels the form covers, 0 to 255. */
    private static byte[] mask(Tile tile, Shape form) {
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

    private static BufferedImage plainAlpha(BufferedImage page) {
        BufferedImage out = new BufferedImage(page.getWidth(), page.getHeight(), BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = out.createGraphics();
        g.setComposite(AlphaComposite.Src);
        g.drawImage(page, 0, 0, null);
        g.dispose();
        return out;
    }

    private static AffineTransform transform(Affine map) {
        return new AffineTransform(map.a(), map.b(), map.c(), map.d(), map.e(), map.f());
    }

    private static Shape shape(Path path) {
        Path2D out = new Path2D.Double(Path2D.WIND_EVEN_ODD);
        for (Path.Segment segment : path.segments()) {
            if (segment instanceof Path.Segment.Move m) out.moveTo(m.to().x(), m.to().y());
            else if (segment instanceof Path.Segment.Line l) out.lineTo(l.to().x(), l.to().y());
            else if (segment instanceof Path.Segment.Cubic c) {
                out.curveTo(c.control1().x(), c.control1().y(), c.control2().x(), c.control2().y(), c.to().x(), c.to().y());
            } else out.closePath();
        }
        return out;
    }
}
