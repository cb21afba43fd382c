package plainlantern.rendering;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.picture.Cells;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.PaintedLetters;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.PaintedWash;
import plainlantern.scene.Scene;
import plainlantern.sheet.Look;
import plainlantern.sheet.Stop;
import plainlantern.treating.Patch;
import plainlantern.treating.Veiling;

/** The layers of an element to pixels, before its form and its finish. */
final class LayerPainter implements Scene.Brush<RuntimeException> {
    private final Affine toPixels;
    private final Box box;
    private final PictureSource pictures;
    private final boolean alone;
    private final Tile out;

    private LayerPainter(Affine toPixels, Box box, PictureSource pictures, boolean alone) {
        this.toPixels = toPixels;
        this.box = box;
        this.pictures = pictures;
        this.alone = alone;
        out = Tile.over(box);
    }

    /** The box of a picture in pixels of the output, turned as it is. */
    static Shape picture(PaintedPicture layer, Affine toPixels) {
        return Shapes2D.transform(toPixels.after(layer.pixelsToSheet()))
                .createTransformedShape(new Rectangle2D.Double(0, 0, layer.width(), layer.height()));
    }

    static Tile pixels(PaintedPicture layer, Affine toPixels, Box wanted, PictureSource pictures) {
        if (layer.blur() > 0) {
            Cells cells = new Cells(layer.blur() * (toPixels.xScale() + toPixels.yScale()) / 2, Tile.over(wanted));
            return cells.blurred(sharp(layer, cells.map().after(toPixels), cells.box(), pictures));
        }
        return sharp(layer, toPixels, wanted, pictures);
    }

    private static Tile sharp(PaintedPicture layer, Affine toPixels, Box wanted, PictureSource pictures) {
        return pictures.onto(layer.treated(), layer.width(), layer.height(), toPixels.after(layer.pixelsToSheet()), wanted);
    }

    /** All layers over each other, on nothing. */
    static Tile laid(List<Scene.Layer> layers, Affine toPixels, Box box, PictureSource pictures) {
        LayerPainter painter = new LayerPainter(toPixels, box, pictures, layers.size() == 1 && layers.get(0).look().equals(Look.PLAIN));
        for (Scene.Layer layer : layers) layer.on(painter);
        return painter.out;
    }

    @Override
    public void picture(PaintedPicture layer) {
        Shape whole = picture(layer, toPixels);
        Optional<Box> part = layer.covers() ? Optional.of(box) : inside(box, whole);
        if (part.isEmpty()) return;
        Blending.over(out, pixels(layer, toPixels, part.get(), pictures), layer.covers() ? Optional.empty()
                : Optional.of(whole), layer.look());
    }

    /** Alone, its pixels are the painting. */
    @Override
    public void wash(PaintedWash layer) {
        if (alone) washed(layer, toPixels, out);
        else Blending.over(out, washed(layer, toPixels, Tile.over(box)), Optional.empty(), layer.look());
    }

    @Override
    public void letters(PaintedLetters layer) {
        if (layer.outlines().empty()) return;
        Shape shape = Shapes2D.of(layer.outlines().mapped(toPixels));
        inside(box, shape).ifPresent(part -> Blending.over(out, worn(layer, toPixels, plain(part, 0xFF000000 | layer.colour().rgb())),
                Optional.of(shape), layer.look()));
    }

    /** The part of a box that a shape can touch; empty where it touches none. */
    static Optional<Box> inside(Box box, Shape shape) {
        Rectangle2D both = shape.getBounds2D().createIntersection(new Rectangle2D.Double(box.x(), box.y(), box.width(), box.height()));
        return both.getWidth() <= 0 || both.getHeight() <= 0 ? Optional.empty()
                : Optional.of(new Box(both.getX(), both.getY(), both.getWidth(), both.getHeight()));
    }

    static Tile plain(Box box, int colour) {
        Tile out = Tile.over(box);
        Arrays.fill(out.argb(), colour);
        return out;
    }

    /** Hides of what was painted of a layer what its veil hides. */
    private static Tile worn(Scene.Layer layer, Affine toPixels, Tile tile) {
        layer.mask().ifPresent(mask -> {
            Patch patch = tile.patch(toPixels.after(mask.toSheet()).inverse().after(Affine.move(tile.x(), tile.y())));
            Veiling.wear(Veiling.left(mask.veil(), patch), patch);
        });
        return tile;
    }

    /** Fills a tile, as far as the wash's veil leaves it. */
    static Tile washed(PaintedWash wash, Affine toPixels, Tile tile) {
        return worn(wash, toPixels, unveiled(wash, toPixels, tile));
    }

    /** The same without its veil. */
    private static Tile unveiled(PaintedWash wash, Affine toPixels, Tile tile) {
        int[] pixels = tile.argb();
        if (wash.plain()) {
            Arrays.fill(pixels, colour(wash.stops(), 0));
            return tile;
        }
        Point from = toPixels.apply(wash.from());
        Point way = toPixels.apply(wash.to()).minus(from);
        double long2 = way.x() * way.x() + way.y() * way.y();
        for (int y = 0; y < tile.height(); y++) {
            for (int x = 0; x < tile.width(); x++) {
                double dx = tile.x() + x + 0.5 - from.x();
                double dy = tile.y() + y + 0.5 - from.y();
                double t = wash.round() ? Math.sqrt((dx * dx + dy * dy) / long2) : (dx * way.x() + dy * way.y()) / long2;
                pixels[y * tile.width() + x] = colour(wash.stops(), t);
            }
        }
        return tile;
    }

    /** The colour at a share of the way, alpha multiplied in. */
    private static int colour(List<Stop> stops, double t) {
        int next = 0;
        while (next < stops.size() && stops.get(next).at() <= t) next++;
        Stop b = stops.get(Math.min(next, stops.size() - 1));
        Stop a = stops.get(Math.max(0, next - 1));
        double span = b.at() - a.at();
        double share = span > 0 ? Math.max(0, Math.min(1, (t - a.at()) / span)) : 0;
        double alpha = a.opacity() + (b.opacity() - a.opacity()) * share;
        int out = (int) (alpha * 255 + 0.5) << 24;
        for (int shift = 16; shift >= 0; shift -= 8) {
            int low = a.colour().rgb() >> shift & 0xFF;
            int high = b.colour().rgb() >> shift & 0xFF;
            out |= (int) ((low + (high - low) * share) * alpha + 0.5) << shift;
        }
        return out;
    }
}
