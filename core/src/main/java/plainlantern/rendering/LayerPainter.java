package plainlantern.rendering;

import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.picture.Backdrop;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Resample;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.LettersLayer;
import plainlantern.scene.Scene.PictureLayer;
import plainlantern.scene.Scene.WashLayer;
import plainlantern.sheet.Look;
import plainlantern.sheet.Stop;

/** The layers of an element to pixels, before its form and its finish. */
final class LayerPainter {
    private LayerPainter() {}

    /** The box of a picture in pixels of the output, turned as it is. */
    static Shape picture(PictureLayer layer, Affine toPixels) {
        return Shapes2D.transform(toPixels.after(layer.pixelsToSheet())).createTransformedShape(new Rectangle2D.Double(0, 0, layer.width(), layer.height()));
    }

    static Tile pixels(PictureLayer layer, Affine toPixels, Box wanted, PictureSource pictures) {
        if (layer.blur() > 0) {
            Blur.Cells cells = new Blur.Cells(layer.blur() * (toPixels.xScale() + toPixels.yScale()) / 2, Tile.over(wanted));
            return cells.blurred(sharp(layer, cells.map().after(toPixels), cells.box(), pictures));
        }
        return sharp(layer, toPixels, wanted, pictures);
    }

    private static Tile sharp(PictureLayer layer, Affine toPixels, Box wanted, PictureSource pictures) {
        Affine map = toPixels.after(layer.pixelsToSheet());
        BufferedImage image = pictures.image(layer.picture(), Math.max(map.xScale(), map.yScale()));
        Tile tile = Resample.onto(image, map.after(Affine.scale((double) layer.width() / image.getWidth(), (double) layer.height() / image.getHeight())), wanted);
        layer.clear().ifPresent(clear -> Backdrop.remove(clear, tile.argb()));
        return tile;
    }

    /** All layers over each other, on nothing. */
    static Tile laid(List<Scene.Layer> layers, Affine toPixels, Box box, PictureSource pictures) {
        Tile out = Tile.over(box);
        if (layers.size() == 1 && layers.get(0) instanceof WashLayer only && only.look().equals(Look.PLAIN)) return washed(only, toPixels, out);
        for (Scene.Layer layer : layers) {
            if (layer instanceof PictureLayer picture) {
                Optional<Box> part = picture.covers() ? Optional.of(box) : inside(box, picture(picture, toPixels));
                if (part.isPresent()) Blending.over(out, pixels(picture, toPixels, part.get(), pictures), picture.covers() ? Optional.empty() : Optional.of(picture(picture, toPixels)), layer.look());
            } else if (layer instanceof WashLayer wash) {
                Blending.over(out, washed(wash, toPixels, Tile.over(box)), Optional.empty(), layer.look());
            } else if (layer instanceof LettersLayer letters && !letters.outlines().segments().isEmpty()) {
                Shape shape = Shapes2D.nonZero(letters.outlines().mapped(toPixels));
                Optional<Box> part = inside(box, shape);
                if (part.isPresent()) Blending.over(out, plain(part.get(), 0xFF000000 | letters.colour().rgb()), Optional.of(shape), layer.look());
            }
        }
        return out;
    }

    /** The part of a box that a shape can touch; empty where it touches none. */
    static Optional<Box> inside(Box box, Shape shape) {
        Rectangle2D both = shape.getBounds2D().createIntersection(new Rectangle2D.Double(box.x(), box.y(), box.width(), box.height()));
        return both.getWidth() <= 0 || both.getHeight() <= 0 ? Optional.empty() : Optional.of(new Box(both.getX(), both.getY(), both.getWidth(), both.getHeight()));
    }

    static Tile plain(Box box, int colour) {
        Tile out = Tile.over(box);
        Arrays.fill(out.argb(), colour);
        return out;
    }

    /** Fills a tile. */
    static Tile washed(WashLayer wash, Affine toPixels, Tile tile) {
        int[] pixels = tile.argb();
        Point from = toPixels.apply(wash.from());
        Point way = toPixels.apply(wash.to()).minus(from);
        double long2 = way.x() * way.x() + way.y() * way.y();
        for (int y = 0; y < tile.height(); y++) {
            for (int x = 0; x < tile.width(); x++) {
                double dx = tile.x() + x + 0.5 - from.x();
                double dy = tile.y() + y + 0.5 - from.y();
                double t = wash.stops().size() == 1 ? 0 : wash.round() ? Math.sqrt((dx * dx + dy * dy) / long2) : (dx * way.x() + dy * way.y()) / long2;
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
