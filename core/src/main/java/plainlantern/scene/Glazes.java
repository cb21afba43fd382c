package plainlantern.scene;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.Pixels;
import plainlantern.scene.Scene.Shade;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Look;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;
import plainlantern.sheet.Treated;
import plainlantern.treating.Bending;

/**
 * What a glaze paints: what lies beneath it, as a picture that fills its box. Whoever paints the scene knows that picture's pixels; its
 * name is another one whenever something that it shows has changed.
 */
public final class Glazes {
    /** Pixels a mm, more than any output wants, and pixels along the longer side at most. */
    private static final double FINEST = 40;
    private static final double MOST = 20_000;
    /** So many standard deviations of a blur are looked at. */
    static final double BLURRED = 4;
    /** A miter reaches so many widths of its line beyond the corner. */
    private static final double MITER = Scene.Line.MITER_LIMIT / 2;

    private Glazes() {}

    /** The glazes of a sheet that show something else than they did on another, though they may be as they were: by their ids. */
    public static Set<String> seeingOtherwise(Sheet was, Sheet now) {
        if (now.elements().stream().noneMatch(e -> e.glaze().isPresent())) return Set.of();
        Set<Treated> before = seen(was).collect(Collectors.toSet());
        return seen(now).filter(seen -> !before.contains(seen)).map(Treated::subject).collect(Collectors.toSet());
    }

    private static Stream<Treated> seen(Sheet sheet) {
        return Scene.of(sheet).items().stream().flatMap(item -> item.pictures().stream()).map(PaintedPicture::treated)
                .filter(treated -> treated.through().isPresent());
    }

    /**
     * The same for a document, which keeps everything by itself, without what a glaze hides: what lies behind one that fills that box,
     * and nothing can be seen through, is in the glaze's own pixels. Of that only words are kept, so that they can be found.
     */
    public static Scene uncovered(Scene scene, Box box) {
        List<Item> items = scene.items();
        if (scene.paper().stream().flatMap(paper -> paper.layers().stream()).noneMatch(Scene.Layer::solid)) return scene;
        for (int i = items.size() - 1; i > 0; i--) {
            if (!covers(items.get(i), box)) continue;
            Stream<Item> words = items.subList(0, i).stream().flatMap(item -> words(item).stream());
            return new Scene(scene.width(), scene.height(), scene.paper(), Stream.concat(words, items.stream().skip(i)).toList());
        }
        return scene;
    }

    private static boolean covers(Item item, Box box) {
        return item.glaze() && item.pictures().stream().allMatch(picture -> picture.treated().veil().isEmpty()) && item.fills(box);
    }

    private static Optional<Item> words(Item item) {
        List<Scene.Layer> letters = item.layers().stream().filter(layer -> layer.letters().isPresent()).toList();
        return letters.isEmpty() ? Optional.empty() : Optional.of(new Item(item.element(), item.name(), item.form(), letters,
                Scene.Around.NOTHING, item.look()));
    }

    /** @param beneath what is painted behind it, from back to front */
    static Item item(Sheet sheet, Glaze glaze, List<Item> beneath) {
        return item(sheet, glaze, glaze.pathOnSheet(), beneath);
    }

    static Item item(Sheet sheet, Glaze glaze, Path form, List<Item> beneath) {
        Box box = form.bounds();
        double each = Math.min(FINEST, MOST / Math.max(box.width(), box.height()));
        int across = (int) Math.max(1, Math.ceil(box.width() * each));
        int down = (int) Math.max(1, Math.ceil(box.height() * each));
        Affine toSheet = Affine.move(box.x(), box.y()).after(Affine.scale(box.width() / across, box.height() / down));
        Treated treated = Treated.beneath(glaze.id() + "-" + mark(sheet, glaze, box, beneath), glaze,
                () -> glaze.whole() ? Scene.lying(toSheet, Affine.IDENTITY, sheet.bounds())
                        : Scene.lying(toSheet, glaze.seat().toSheet().inverse(), glaze.ownPath().bounds()))
                .veiled(Veils.worn(sheet, glaze, glaze.veil(), Optional.empty(), glaze.seat().toSheet().inverse().after(toSheet)
                        .after(Affine.scale(across, down))));
        PaintedPicture seen = new PaintedPicture(0, new Pixels(treated, across, down, Optional.empty()), toSheet, true, 0, Look.PLAIN);
        return Dressing.item(glaze, form, List.of(seen));
    }

    /** The name of what the glaze shows before its tone: of the paper and all items that can be seen through it, and how they are seen. */
    private static String mark(Sheet sheet, Glaze glaze, Box box, List<Item> beneath) {
        Through through = glaze.through().seen();
        Box seen = box.moved(new Point(-through.dx(), -through.dy())).grown(BLURRED * through.blur()
                + through.bend().map(bend -> Bending.of(bend, box).reach()).orElse(0.0));
        return Fingerprint.of(Scene.paper(sheet), box, glaze.through().seen(), beneath.stream().filter(item -> reach(item).meets(seen))
                .toList());
    }

    /** All that an item may paint and more, found without looking at its path again. */
    private static Box reach(Item item) {
        Box own = item.clip().bounds().grown(item.rim().map(line -> line.width() * MITER).orElse(0.0));
        Box all = own;
        for (Shade shade : item.shades()) {
            Box from = shade.form().filter(form -> !form.empty()).map(Path::bounds).orElse(own.moved(shade.by()));
            all = all.union(from.grown(BLURRED * shade.deviation() + Math.max(0, shade.spread())));
        }
        return all;
    }
}
