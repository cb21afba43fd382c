package plainlantern.geometry;

import java.util.ArrayList;
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

    /** The clusters, each in the order of {@code things}. */
    static <T> List<List<T>> of(List<T> things, Function<T, Box> box) {
        if (things.size() < 2) return things.isEmpty() ? List.of() : List.of(things);
        List<Box> boxes = things.stream().map(box).toList();
        int[] parent = IntStream.range(0, things.size()).toArray();
        Boxes all = new Boxes(boxes);
        for (int i = 0; i < things.size(); i++) {
            int from = i;
            all.nearAfter(i, boxes.get(i)).forEach(other -> parent[root(parent, other)] = root(parent, from));
        }
        Map<Integer, List<T>> clusters = new LinkedHashMap<>();
        for (int i = 0; i < things.size(); i++) clusters.computeIfAbsent(root(parent, i), root -> new ArrayList<>()).add(things.get(i));
        return List.copyOf(clusters.values());
    }

    /** The first of those that have been made one with a number, in a forest of parents; paths are halved on the way. */
    static int root(int[] parent, int of) {
        int at = of;
        while (parent[at] != at) at = parent[at] = parent[parent[at]];
        return at;
    }
}
