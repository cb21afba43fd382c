package plainlantern.rendering;

/** Hears how far a delivery is, 0 to 1, many times; ends it by throwing, with {@link Cancelled} where somebody wanted so. */
@FunctionalInterface
public interface Progress {
    Progress UNHEARD = share -> {};

    void at(double share);

    /** For a stretch of the whole. */
    default Progress part(double from, double to) {
        return share -> at(from + (to - from) * share);
    }

    /** Somebody does not want the delivery any more. */
    final class Cancelled extends RuntimeException {
        public Cancelled() {
            super("Cancelled.", null, false, false);
        }
    }
}
