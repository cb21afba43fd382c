package plainlantern.fitting;

import plainlantern.geometry.Box;

/** Which panels stand side by side. */
public final class Neighbours {
    /** Neighbours are at most this share of the smaller one's shorter side apart. */
    private static final double APART = 0.25;

    private Neighbours() {}

    /** @param one the upright box around a panel on the sheet */
    public static boolean beside(Box one, Box other) {
        return one.grown(APART * Math.min(one.shorter(), other.shorter())).meets(other);
    }
}
