package plainlantern.geometry;

import java.util.List;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;

/** Boxes by where they are (a sort-tile-recursive tree, Leutenegger and others 1997), so that not each has to be compared with each. */
public final class Boxes {
    private final STRtree tree = new STRtree();

    /** @param boxes numbered as they come */
    public Boxes(List<Box> boxes) {
        for (int i = 0; i < boxes.size(); i++) tree.insert(envelope(boxes.get(i)), i);
        tree.build();
    }

    /** The numbers of those that meet a box or touch it, the smallest first. */
    public IntStream near(Box box) {
        List<?> found = tree.query(envelope(box));
        return found.stream().mapToInt(number -> (Integer) number).sorted();
    }

    /** As {@link #near}, of those after a number. */
    public IntStream nearAfter(int number, Box box) {
        return near(box).filter(other -> other > number);
    }

    private static Envelope envelope(Box box) {
        return new Envelope(box.x(), box.right(), box.y(), box.bottom());
    }
}
