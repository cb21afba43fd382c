package plainlantern.rendering;

import java.awt.Shape;
import java.awt.geom.Area;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.Shade;
import plainlantern.scene.Scene;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Look;
import plainlantern.treating.Alpha;

/** One element with its form and its finish to pixels. */
final class ItemPainter {
    private final Item item;
    private final Affine toPixels;
    private final PictureSource pictures;
    private final Shape form;

    private ItemPainter(Item item, Affine toPixels, PictureSource pictures) {
        this.item = item;
        this.toPixels = toPixels;
        this.pictures = pictures;
        form = Shapes2D.of(item.clip().mapped(toPixels));
    }

    /** Finished pixels, the form that lets them through, if not all are meant, and how they meet what is behind them. */
    record Painted(Tile tile, Optional<Shape> form, Look look) {}

    /** What is to be painted of an element, from back to front, where it touches the page, a box in pixels; none where it does not. */
    static List<Painted> painted(Item item, Affine toPixels, Box page, PictureSource pictures) {
        return new ItemPainter(item, toPixels, pictures).painted(page);
    }

    /** Where an element may paint, pixels. */
    static Box reach(Item item, Affine toPixels) {
        double blur = item.shades().stream().mapToDouble(Shade::deviation).max().orElse(0);
        return Path.box(item.reach().grown(blur)).mapped(toPixels).bounds().grown(2);
    }

    private List<Painted> painted(Box page) {
        // What is painted beyond the page may cast onto it.
        Optional<Painted> own = own(page.grown(far()));
        if (item.shades().isEmpty()) return own.stream().toList();
        List<Painted> parts = new ArrayList<>();
        for (Tile tile : shades(own, page)) parts.add(new Painted(tile, Optional.empty(), Look.PLAIN));
        own.ifPresent(parts::add);
        return item.look().equals(Look.PLAIN) || parts.isEmpty() ? parts : List.of(whole(parts, page));
    }

    /** What an element casts behind itself, from back to front, where it touches the page. */
    static List<Tile> shades(Item item, Affine toPixels, Box page, PictureSource pictures) {
        ItemPainter painter = new ItemPainter(item, toPixels, pictures);
        boolean ofPaint = item.shades().stream().anyMatch(s -> s.form().isEmpty());
        return painter.shades(ofPaint ? painter.own(page.grown(painter.far())) : Optional.empty(), page);
    }

    private List<Tile> shades(Optional<Painted> own, Box page) {
        return item.shades().stream().flatMap(shade -> cast(shade, own, page).stream()).toList();
    }

    /** So far beyond a part of a page, pixels, lies what is painted for what an element casts onto it or is blurred with. */
    static double far(Item item, Affine toPixels) {
        ItemPainter painter = new ItemPainter(item, toPixels, null);
        double soft = item.soft().map(edge -> Blur.reach(painter.pixels(edge.deviation()))).orElse(0.0);
        return DoubleStream.concat(DoubleStream.of(soft), Stream.concat(item.shades().stream(), item.inner().stream())
                .mapToDouble(painter::reach)).max().orElse(0);
    }

    /** So far beyond the page lies what may still cast onto it. */
    private double far() {
        return item.shades().stream().filter(s -> s.form().isEmpty()).mapToDouble(this::reach).max().orElse(0);
    }

    private double reach(Shade shade) {
        return Blur.reach(pixels(shade.deviation()))
                + pixels(Math.abs(shade.spread()) + Math.max(Math.abs(shade.by().x()), Math.abs(shade.by().y())));
    }

    private double pixels(double mm) {
        return mm * (toPixels.xScale() + toPixels.yScale()) / 2;
    }

    private Painted whole(List<Painted> parts, Box page) {
        return new Painted(together(parts, page), Optional.empty(), item.look());
    }

    /** All parts laid over each other on nothing, as one, as far as it is on the page. */
    static Tile together(List<Painted> parts, Box page) {
        Box all = Box.union(parts.stream().map(p -> p.tile().box()).toList());
        if (parts.size() == 1 && parts.get(0).form().isEmpty()) return parts.get(0).tile();
        Tile out = Tile.over(LayerPainter.inside(page, Shapes2D.rectangle(all)).orElse(all));
        for (Painted part : parts) Blending.over(out, part.tile(), part.form(), Look.PLAIN);
        return out;
    }

    /** The element without what it casts behind itself. */
    private Optional<Painted> own(Box page) {
        if (item.rim().isPresent() || item.inner().isPresent() || item.soft().isPresent()) return dressed(page);
        Optional<PaintedPicture> alone = item.layers().size() != 1 ? Optional.empty() : item.layers().get(0).picture();
        if (alone.isEmpty() || !alone.get().look().equals(Look.PLAIN)) {
            return LayerPainter.inside(page, form).map(box -> {
                Tile tile = LayerPainter.laid(item.layers(), toPixels, box, pictures);
                // What lies within the form altogether needs no mask.
                boolean within = form.contains(Shapes2D.rectangle(tile.box()).getBounds2D());
                return new Painted(tile, within ? Optional.empty() : Optional.of(form), item.look());
            });
        }
        PaintedPicture only = alone.get();
        Shape through = only.covers() ? form : shared(form, LayerPainter.picture(only, toPixels));
        return LayerPainter.inside(page, through).map(box -> new Painted(LayerPainter.pixels(only, toPixels, box, pictures),
                Optional.of(through), item.look()));
    }

    private static Shape shared(Shape one, Shape other) {
        Area area = new Area(one);
        area.intersect(new Area(other));
        return area;
    }

    /** The layers seen through the form, what its edge casts onto them, and the rim over that. */
    private Optional<Painted> dressed(Box page) {
        Optional<Shape> line = item.rim().map(rim -> Shapes2D.stroked(rim, toPixels));
        Shape all = line.<Shape>map(shape -> form.getBounds2D().createUnion(shape.getBounds2D())).orElse(form);
        return LayerPainter.inside(page, all).map(box -> {
            Tile out = Tile.over(box);
            byte[] inside = Shapes2D.mask(out, form);
            Shape under = Shapes2D.of(item.under().mapped(toPixels));
            LayerPainter.inside(box, under).ifPresent(part -> {
                Tile layers = LayerPainter.laid(item.layers(), toPixels, part, pictures);
                byte[] mask = Shapes2D.mask(layers, under);
                item.soft().ifPresent(soft -> narrow(mask, Blur.of(Shapes2D.of(soft.form().mapped(toPixels)),
                        pixels(soft.deviation()), layers), false));
                item.inner().ifPresent(shade -> shadeInside(shade, layers, mask));
                Blending.over(out, layers, mask, Look.PLAIN);
            });
            line.ifPresent(shape -> {
                byte[] mask = Shapes2D.mask(out, shape);
                Scene.Within within = item.rim().orElseThrow().within();
                if (within != Scene.Within.ALL) narrow(mask, inside, within == Scene.Within.OUTSIDE);
                Blending.over(out, LayerPainter.plain(box, 0xFF000000 | item.rim().orElseThrow().colour().rgb()), mask, Look.PLAIN);
            });
            return new Painted(out, Optional.empty(), item.look());
        });
    }

    /** Lets of {@code mask} only what {@code form} covers, or what it leaves. */
    private static void narrow(byte[] mask, byte[] form, boolean outside) {
        for (int i = 0; i < mask.length; i++) {
            int cover = form[i] & 0xFF;
            mask[i] = (byte) Alpha.times(mask[i] & 0xFF, outside ? 255 - cover : cover);
        }
    }

    /** Lays the colour of a shadow onto what the layers paint wherever the casting form is not. */
    private void shadeInside(Shade shade, Tile layers, byte[] mask) {
        byte[] lit = shade.form().isPresent() ? ofForm(shade, layers) : ofPaint(shade, masked(layers, mask), -1, layers);
        for (int i = 0; i < lit.length; i++) {
            int pixel = layers.argb()[i];
            int cover = (int) ((255 - (lit[i] & 0xFF)) * shade.opacity() + 0.5);
            int onto = Alpha.times(pixel >>> 24, cover);
            layers.argb()[i] = pixel & 0xFF000000 | Blending.over(tinted(shade.colour(), onto), 255, pixel) & 0xFFFFFF;
        }
    }

    private Optional<Tile> cast(Shade shade, Optional<Painted> own, Box page) {
        Optional<Box> where = shade.form().isPresent() ? shade.form().filter(path -> !path.empty())
                .map(path -> path.mapped(toPixels).bounds()) : own.map(p -> p.tile().box());
        double room = shade.form().isPresent() ? Blur.reach(pixels(shade.deviation())) : reach(shade);
        return where.flatMap(box -> LayerPainter.inside(page, Shapes2D.rectangle(box.grown(room)))).map(box -> {
            Tile out = Tile.over(box);
            byte[] cover = shade.form().isPresent() ? ofForm(shade, out) : ofPaint(shade, alpha(own.orElseThrow()), 1, out);
            for (int i = 0; i < cover.length; i++)
                out.argb()[i] = tinted(shade.colour(), (int) ((cover[i] & 0xFF) * shade.opacity() + 0.5));
            return out;
        });
    }

    private byte[] ofForm(Shade shade, Tile like) {
        return Blur.of(Shapes2D.of(shade.form().orElseThrow().mapped(toPixels)), pixels(shade.deviation()), like);
    }

    /** @param way 1 where spread grows what casts the shadow, -1 where it shrinks it */
    private byte[] ofPaint(Shade shade, Tile paint, int way, Tile like) {
        Point by = shade.by();
        return Blur.of(paint, (int) Math.round(pixels(by.x())), (int) Math.round(pixels(by.y())),
                way * (int) Math.round(pixels(shade.spread())), pixels(shade.deviation()), like);
    }

    private static Tile alpha(Painted painted) {
        return masked(painted.tile(), painted.form().map(form -> Shapes2D.mask(painted.tile(), form)).orElse(null));
    }

    private static Tile masked(Tile tile, byte[] mask) {
        if (mask == null) return tile;
        int[] out = new int[mask.length];
        for (int i = 0; i < out.length; i++) out[i] = Alpha.times(tile.argb()[i] >>> 24, mask[i] & 0xFF) << 24;
        return new Tile(tile.x(), tile.y(), tile.width(), tile.height(), out);
    }

    /** A colour of that alpha, which is multiplied in. */
    private static int tinted(Colour colour, int alpha) {
        return Alpha.multiplied(alpha << 24 | colour.rgb());
    }
}
