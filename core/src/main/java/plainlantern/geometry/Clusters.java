package plainlantern.geometry;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;

/**
 * What lies together: things whose boxes meet or touch, directly or through others. Things of different clusters have nothing to do with
 * each other.
 */
final class Clusters {
    private Clusters() {}

    /** The clusters, each in the order of {@code things}. Boxes are swept from left to right. */
    static <T> List<List<T>> of(List<T> things, Function<T, Box> box) {
        if (things.size() < 2) return things.isEmpty() ? List.of() : List.of(things);
        List<Box> boxes = things.stream().map(box).toList();
        int[] parent = IntStream.range(0, things.size()).toArray();
        List<Integer> order = IntStream.range(0, things.size()).boxed().sorted(Comparator.comparingDouble(i -> boxes.get(i).x())).toList();
        List<Integer> open = new ArrayList<>();
        for (int i : order) {
            open.removeIf(other -> boxes.get(other).right() < boxes.get(i).x());
            for (int other : open) if (touch(boxes.get(i), boxes.get(other))) parent[root(parent, i)] = root(parent, other);
            open.add(i);
        }
        Map<Integer, List<T>> clusters = new LinkedHashMap<>();
        for (int i = 0; i < things.size(); i++) clusters.computeIfAbsent(root(parent, i), root -> new ArrayList<>()).add(things.get(i));
        return List.copyOf(clusters.values());
    }

    /** Two that lie side by side are one when they are united. */
    private static boolean touch(Box one, Box other) {
        return one.x() <= other.right() && other.x() <= one.right() && one.y() <= other.bottom() && other.y() <= one.bottom();
    }

    private static int root(int[] parent, int of) {
        int at = of;
        while (parent[at] != at) at = parent[at] = parent[parent[at]];
        return at;
    }
}
