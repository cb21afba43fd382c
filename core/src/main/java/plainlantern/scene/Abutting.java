package plainlantern.scene;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.scene.Scene.Around;
import plainlantern.scene.Scene.Form;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.sheet.Look;

/**
 * Slices of one picture that abut, painted as one: where two forms share a pixel, each would cover its part of it, and what lies
 * behind would shine through both. As contours of one path, filled by the non-zero rule, they cover it whole in every output.
 */
final class Abutting {
    /** Forms that are so near, mm, touch. */
    private static final double TOUCHING = 0.01;
    /** Pictures that lie so near to each other, mm, lie as one. */
    private static final double REGISTER = 1e-6;

    private Abutting() {}

    /** The same items with each run of abutting slices as one, which has the id and the name of its hindmost. */
    static List<Item> joined(List<Item> items) {
        List<Item> out = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            Item first = items.get(i);
            Optional<PaintedPicture> picture = alone(first);
            List<Item> run = new ArrayList<>(List.of(first));
            while (picture.isPresent() && i + 1 < items.size() && joins(run, picture.get(), items.get(i + 1))) run.add(items.get(++i));
            out.add(run.size() == 1 ? first : one(run, picture.orElseThrow()));
        }
        return out;
    }

    /** The one picture that an item shows, where that is all of it, fills it, and has nothing around it. */
    private static Optional<PaintedPicture> alone(Item item) {
        boolean plain = item.layers().size() == 1 && item.around().equals(Around.NOTHING) && item.look().equals(Look.PLAIN);
        return plain ? item.layers().get(0).picture().filter(p -> p.covers() && p.blur() == 0 && p.look().equals(Look.PLAIN))
                : Optional.empty();
    }

    private static boolean joins(List<Item> run, PaintedPicture picture, Item next) {
        if (alone(next).filter(p -> inRegister(picture, p)).isEmpty()) return false;
        Box box = next.clip().bounds().grown(TOUCHING);
        return run.stream().anyMatch(item -> item.clip().bounds().meets(box)) && run.get(0).clip().wound().isPresent()
                && next.clip().wound().isPresent();
    }

    private static boolean inRegister(PaintedPicture one, PaintedPicture other) {
        if (!one.pixels().equals(other.pixels())) return false;
        Affine a = one.pixelsToSheet();
        Affine b = other.pixelsToSheet();
        for (Point corner : List.of(Point.ORIGIN, new Point(one.width(), 0), new Point(0, one.height()))) {
            if (a.apply(corner).distance(b.apply(corner)) > REGISTER) return false;
        }
        return true;
    }

    private static Item one(List<Item> run, PaintedPicture picture) {
        Path all = Path.together(run.stream().map(item -> item.clip().wound().orElseThrow()).toList());
        return new Item(run.get(0).element(), run.get(0).name(), Form.whole(all), List.of(picture), Around.NOTHING, Look.PLAIN);
    }
}
