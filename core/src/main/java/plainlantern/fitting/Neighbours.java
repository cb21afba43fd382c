package plainlantern.fitting;

import java.util.List;
import plainlantern.geometry.Box;
import plainlantern.geometry.Boxes;

/** Which panels stand side by side. */
public final class Neighbours {
    /** Neighbours are at most this share of the smaller one's shorter side apart. */
    private static final double APART = 0.25;

    private final List<Box> boxes;
    private final Boxes places;

    /** @param boxes the upright boxes around panels on the sheet */
    public Neighbours(List<Box> boxes) {
        this.boxes = boxes;
        places = new Boxes(boxes);
    }

    /** The numbers of the neighbours of a panel that come after it, in their order. */
    public int[] after(int number) {
        Box one = boxes.get(number);
        return places.nearAfter(number, one.grown(APART * one.shorter())).filter(other -> beside(one, boxes.get(other))).toArray();
    }

    static boolean beside(Box one, Box other) {
        return one.grown(APART * Math.min(one.shorter(), other.shorter())).meets(other);
    }
}
