package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.picture.Cells;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Through;
import plainlantern.sheet.Treated;
import plainlantern.treating.Bending;
import plainlantern.treating.ColourMap;
import plainlantern.treating.Patch;
import plainlantern.treating.Treating;
import plainlantern.treating.Whole;

/**
 * A source that knows what lies beneath the glazes of scenes: it paints that as it is asked for. Beyond the paper it is mirrored, so that
 * no blur fades out at the edges of a sheet.
 */
public final class Glazing implements PictureSource {
    /** So many mm around a sheet without paper belong to it: more than any bleed. */
    private static final double AROUND = 50;

    private final PictureSource pictures;
    private final Map<String, Beneath> glazes = new HashMap<>();

    /** What lies beneath a glaze, and what the glaze paints of it. */
    private record Beneath(Scene scene, PaintedPicture layer) {
        Affine toPixels(Affine map) {
            return map.after(layer.pixelsToSheet().inverse());
        }
    }

    private Glazing(List<Scene> scenes, PictureSource pictures) {
        this.pictures = pictures;
        for (Scene scene : scenes) {
            List<Item> items = scene.items();
            for (int i = 0; i < items.size(); i++) {
                if (!items.get(i).glaze()) continue;
                PaintedPicture layer = items.get(i).pictures().get(0);
                glazes.put(layer.treated().picture(), new Beneath(new Scene(scene.width(), scene.height(), scene.paper(),
                        items.subList(0, i)), layer));
            }
        }
    }

    /**
     * A glaze of a scene by itself, treated as it is told, in its upright box.
     *
     * @param side pixels along the longer side, or as many as there are
     * @return empty where there is no such glaze
     */
    public static Optional<BufferedImage> look(Scene scene, Treated told, int side, PictureSource pictures) {
        Glazing glazing = new Glazing(List.of(scene), pictures);
        return glazing.glazes.values().stream().map(Beneath::layer).filter(layer -> layer.treated().subject().equals(told.subject()))
                .findFirst().map(layer -> {
            int[] size = size(layer, Math.min(1, (double) side / Math.max(layer.width(), layer.height())));
            Treated what = new Treated(layer.treated().picture(), Optional.empty(), told.tones(), Optional.empty(), told.through());
            return glazing.sized(what, 1, layer.width(), layer.height(), size);
        });
    }

    private static int[] size(PaintedPicture layer, double scale) {
        return new int[] {(int) Math.max(1, Math.round(layer.width() * scale)), (int) Math.max(1, Math.round(layer.height() * scale))};
    }

    /** A source for those scenes; where none has a glaze, the same. */
    public static PictureSource of(List<Scene> scenes, PictureSource pictures) {
        boolean any = scenes.stream().flatMap(scene -> scene.items().stream()).anyMatch(Item::glaze);
        return any ? new Glazing(scenes, pictures) : pictures;
    }

    @Override
    public BufferedImage image(String id, double share) {
        return pictures.image(id, share);
    }

    @Override
    public BufferedImage deep(String id, double share) {
        return pictures.deep(id, share);
    }

    @Override
    public void passed(String id) {
        pictures.passed(id);
    }

    @Override
    public Optional<ColourMap> table(String id) {
        return pictures.table(id);
    }

    @Override
    public Optional<byte[]> original(String id) {
        return glazes.containsKey(id) ? Optional.empty() : pictures.original(id);
    }

    @Override
    public Tile onto(Treated what, int width, int height, Affine map, Box wanted) {
        if (what.through().isEmpty()) return pictures.onto(what, width, height, map, wanted);
        Beneath beneath = glazes.get(what.picture());
        Affine toPixels = beneath.toPixels(map);
        return seen(what, width, height, map, toPixels, wanted, painting(beneath.scene(), toPixels, pictures),
                whole(what, beneath.scene(), beneath.layer(), pictures));
    }

    private static Below painting(Scene scene, Affine toPixels, PictureSource pictures) {
        return new Below() {
            @Override
            public Tile pixels(Box box) {
                return painted(scene, toPixels, box, pictures);
            }

            @Override
            public Tile smaller(double share, Box box) {
                return painted(scene, Affine.scale(share, share).after(toPixels), box, pictures);
            }
        };
    }

    @Override
    public BufferedImage sized(Treated what, double share, int width, int height, int[] size) {
        if (what.through().isEmpty()) return pictures.sized(what, share, width, height, size);
        Affine map = Affine.scale((double) size[0] / width, (double) size[1] / height);
        boolean clear = what.veil().isPresent() || glazes.get(what.picture()).scene().paper().isEmpty();
        return onto(what, width, height, map, new Box(0, 0, size[0], size[1])).image(clear ? BufferedImage.TYPE_4BYTE_ABGR
                : BufferedImage.TYPE_3BYTE_BGR);
    }

    /** By so many whole pixels what a glaze shows is moved. */
    static int[] shift(Through through, Affine toPixels) {
        return new int[] {(int) Math.round(through.dx() * toPixels.xScale()), (int) Math.round(through.dy() * toPixels.yScale())};
    }

    /** So many pixels around what is wanted of it a glaze looks at, its shift aside. */
    static int reach(PaintedPicture layer, Affine toPixels) {
        double deviation = deviation(layer.treated().through().orElseThrow(), toPixels);
        int tone = Treating.reach(layer.treated(), layer.pixelsToSheet().inverse().after(toPixels.inverse()));
        if (Cells.coarse(deviation)) return tone;
        Affine box = toPixels.after(layer.pixelsToSheet()).after(Affine.scale(layer.width(), layer.height()));
        int bent = bending(layer.treated().through().orElseThrow(), box, toPixels).map(b -> room(b, toPixels.inverse())).orElse(0);
        return tone + bent + (deviation == 0 ? 0 : Cells.room(deviation));
    }

    /** @param box from the unit square to the glaze's box in the output */
    private static Optional<Bending> bending(Through through, Affine box, Affine toPixels) {
        return through.bend().map(bend -> Bending.of(bend, Path.box(new Box(0, 0, 1, 1)).mapped(toPixels.inverse().after(box)).bounds()));
    }

    private static int room(Bending bending, Affine toSheet) {
        return (int) Math.ceil(bending.reach() / Math.min(toSheet.xScale(), toSheet.yScale())) + 2;
    }

    /** Pixels of a box, taken from where they are bent from; between pixels colours are mixed evenly. */
    private static Tile bent(Optional<Bending> bending, Affine toSheet, Box box, Function<Box, Tile> pixels) {
        if (bending.isEmpty()) return pixels.apply(box);
        Tile from = pixels.apply(around(bending.get().seen(box, toSheet)));
        Affine toPixels = toSheet.inverse();
        Tile out = Tile.over(box);
        IntStream.range(0, out.height()).parallel().forEach(y -> {
            UnaryOperator<Point> source = bending.get().source().get();
            for (int x = 0; x < out.width(); x++) {
                Point place = toPixels.apply(source.apply(toSheet.apply(new Point(out.x() + x + 0.5, out.y() + y + 0.5))));
                out.argb()[y * out.width() + x] = Cells.between(from, place.x(), place.y());
            }
        });
        return out;
    }

    /** Whole pixels around a box, and two more. */
    private static Box around(Box box) {
        return Box.between(Math.floor(box.x()) - 2, Math.floor(box.y()) - 2, Math.ceil(box.right()) + 2, Math.ceil(box.bottom()) + 2);
    }

    private static double deviation(Through through, Affine toPixels) {
        return through.blur() * (toPixels.xScale() + toPixels.yScale()) / 2;
    }

    /**
     * What is wanted of a glaze.
     *
     * @param map   from its own pixels, so many across and down, to the output's
     * @param below what lies beneath, in the output's pixels
     */
    static Tile seen(Treated what, int width, int height, Affine map, Affine toPixels, Box wanted, Below below, Whole whole) {
        Through through = what.through().orElseThrow();
        Affine toPicture = Affine.scale(1.0 / width, 1.0 / height).after(map.inverse());
        int reach = Treating.reach(what, map.inverse());
        Tile like = Tile.over(wanted.grown(reach));
        Optional<Bending> bending = bending(through, map.after(Affine.scale(width, height)), toPixels);
        double deviation = deviation(through, toPixels);
        int[] by = shift(through, toPixels);
        Tile tile = Cells.seen(deviation, like, by, (share, box) -> share == 1
                ? bent(bending, toPixels.inverse(), box, part -> moved(below, part, by))
                : bent(bending, toPixels.inverse().after(Affine.move(by[0], by[1])).after(Affine.scale(1 / share, 1 / share)), box,
                        part -> below.smaller(share, part)));
        Treating.treat(what, tile.patch(toPicture.after(Affine.move(tile.x(), tile.y()))), whole);
        return reach == 0 ? tile : tile.part(wanted);
    }

    /** What lies beneath a glaze. */
    interface Below {
        /** In a box of whole pixels. */
        Tile pixels(Box box);

        /** Painted at a share of its size, in a box of whole pixels of that. */
        Tile smaller(double share, Box box);
    }

    private static Tile moved(Below below, Box box, int[] by) {
        Tile tile = below.pixels(new Box(box.x() - by[0], box.y() - by[1], box.width(), box.height()));
        return new Tile(tile.x() + by[0], tile.y() + by[1], tile.width(), tile.height(), tile.argb());
    }

    /** A scene's pixels in a box. */
    static Tile painted(Scene scene, Affine toPixels, Box box, PictureSource pictures) {
        Mirror mirror = mirror(scene, toPixels);
        Tile out = Tile.over(box);
        Mirror.Span across = mirror.across().seen(new Mirror.Span(out.x(), out.x() + out.width()));
        Mirror.Span down = mirror.down().seen(new Mirror.Span(out.y(), out.y() + out.height()));
        int[] size = {across.to() - across.from(), down.to() - down.from()};
        try (Strips strips = new Strips(scene, Affine.move(-across.from(), -down.from()).after(toPixels), size,
                scene.paper().isPresent(), pictures, Progress.UNHEARD, id -> {})) {
            Window window = new Window(strips, across.from(), down.from(), mirror);
            window.until(down.to());
            return window.tile(box);
        }
    }

    /** The mirrors at the edges of a scene's paper; without one they stand where hardly anything is any more. */
    static Mirror mirror(Scene scene, Affine toPixels) {
        Box edges = scene.paper().map(paper -> paper.clip().bounds()).orElse(new Box(0, 0, scene.width(), scene.height()).grown(AROUND));
        return Mirror.at(Path.box(edges).mapped(toPixels).bounds());
    }

    /** All of what a glaze shows, for tones that look at surroundings. */
    static Whole whole(Treated what, Scene beneath, PaintedPicture layer, PictureSource pictures) {
        return new Whole() {
            @Override
            public int longer() {
                return Math.max(layer.width(), layer.height());
            }

            @Override
            public Patch small(int longer) {
                int[] size = size(layer, (double) longer / longer());
                Affine map = Affine.scale((double) size[0] / layer.width(), (double) size[1] / layer.height());
                Affine toPixels = map.after(layer.pixelsToSheet().inverse());
                Treated before = new Treated(what.picture(), Optional.empty(), List.of(), Optional.empty(), what.through());
                Tile tile = seen(before, layer.width(), layer.height(), map, toPixels, new Box(0, 0, size[0], size[1]),
                        painting(beneath, toPixels, pictures), this);
                return tile.patch(Affine.scale(1.0 / size[0], 1.0 / size[1]));
            }

            @Override
            public int width() {
                return layer.width();
            }

            @Override
            public int height() {
                return layer.height();
            }

            @Override
            public Optional<ColourMap> table(String id) {
                return pictures.table(id);
            }
        };
    }
}
