package plainlantern.scene;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.geometry.Adjoining;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.scene.Scene.Around;
import plainlantern.scene.Scene.Form;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.Joined;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.Pixels;
import plainlantern.sheet.Look;

/**
 * Slices of one picture that share edges, painted as one: where two forms share a pixel, each would cover its part of it, and what is
 * behind would shine through both. As one path without the shared edges they cover it whole in every output.
 */
final class Abutting {
    /** Pictures that lie so near to each other, mm, lie as one. */
    private static final double REGISTER = 1e-6;
    /** Less overlap, mm², does not matter for the order in depth. */
    private static final double OVERLAP = 0.01;

    private final List<Item> items;
    /** The pictures of the items that show one and nothing else, by the item's number. */
    private final Map<Integer, PaintedPicture> alone = new HashMap<>();
    private final List<Optional<Joined>> joined;

    private Abutting(List<Item> items) {
        this.items = items;
        joined = new ArrayList<>(items.stream().map(item -> Optional.of(new Joined(item, List.of(item)))).toList());
        for (int i = 0; i < items.size(); i++) {
            Optional<PaintedPicture> picture = alone(items.get(i));
            if (picture.isPresent()) alone.put(i, picture.get());
        }
    }

    /** The same items with each set of abutting slices as one, in the place of its hindmost and with the id and the name of that. */
    static List<Joined> joined(List<Item> items) {
        Abutting abutting = new Abutting(items);
        for (List<Integer> slices : abutting.inRegister()) abutting.join(slices);
        return abutting.joined.stream().flatMap(Optional::stream).toList();
    }

    /** The one picture that an item shows, where that is all of it and has nothing around it. */
    private static Optional<PaintedPicture> alone(Item item) {
        boolean plain = item.layers().size() == 1 && item.around().equals(Around.NOTHING) && item.look().equals(Look.PLAIN);
        return plain ? item.layers().get(0).picture().filter(p -> p.blur() == 0 && p.look().equals(Look.PLAIN)) : Optional.empty();
    }

    /** The items that show the same picture in the same place, several of each. */
    private List<List<Integer>> inRegister() {
        Map<Pixels, List<List<Integer>>> known = new LinkedHashMap<>();
        for (int i = 0; i < items.size(); i++) {
            PaintedPicture picture = alone.get(i);
            if (picture == null) continue;
            List<List<Integer>> same = known.computeIfAbsent(picture.pixels(), pixels -> new ArrayList<>());
            same.stream().filter(slices -> inRegister(alone.get(slices.get(0)), picture)).findFirst().orElseGet(() -> {
                same.add(new ArrayList<>());
                return same.get(same.size() - 1);
            }).add(i);
        }
        return known.values().stream().flatMap(List::stream).filter(slices -> slices.size() > 1).toList();
    }

    private static boolean inRegister(PaintedPicture one, PaintedPicture other) {
        Affine a = one.pixelsToSheet();
        Affine b = other.pixelsToSheet();
        for (Point corner : List.of(Point.ORIGIN, new Point(one.width(), 0), new Point(0, one.height()))) {
            if (a.apply(corner).distance(b.apply(corner)) > REGISTER) return false;
        }
        return true;
    }

    private void join(List<Integer> slices) {
        Adjoining forms = new Adjoining(slices.stream().map(i -> items.get(i).clip()).toList());
        for (List<Integer> group : forms.groups()) {
            List<Integer> left = new ArrayList<>(group);
            while (!left.isEmpty()) {
                List<Integer> run = new ArrayList<>();
                for (int form : left) if (run.isEmpty() || movable(slices.get(form), slices.get(run.get(0)), slices)) run.add(form);
                left.removeAll(run);
                if (run.size() > 1) put(forms.together(run), run.stream().map(slices::get).toList());
            }
        }
    }

    /** Whether an item looks the same as far back as another, which is behind it: neither a glaze nor anything it covers is in between. */
    private boolean movable(int item, int back, List<Integer> slices) {
        Path clip = items.get(item).clip();
        Box box = clip.bounds();
        boolean opaque = alone.get(item).pixels().opaque();
        return IntStream.range(back + 1, item).filter(i -> !(opaque && slices.contains(i))).mapToObj(items::get)
                .noneMatch(other -> other.glaze() || other.reach().meets(box) && (!other.around().equals(Around.NOTHING)
                        || Polygons.sharedArea(clip, other.clip()) > OVERLAP));
    }

    private void put(Path whole, List<Integer> run) {
        Item first = items.get(run.get(0));
        PaintedPicture picture = alone.get(run.get(0));
        boolean covers = run.stream().allMatch(i -> alone.get(i).covers());
        for (int i : run) joined.set(i, Optional.empty());
        Item all = new Item(first.element(), first.name(), Form.whole(whole), List.of(new PaintedPicture(picture.at(), picture.pixels(),
                picture.pixelsToSheet(), covers, 0, Look.PLAIN)), Around.NOTHING, Look.PLAIN);
        joined.set(run.get(0), Optional.of(new Joined(all, run.stream().map(items::get).toList())));
    }
}
