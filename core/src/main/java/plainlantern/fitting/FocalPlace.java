package plainlantern.fitting;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Choice;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Pose;

/** Where a focal point may be brought to: places in the box around what the picture is seen through. */
public enum FocalPlace implements Choice {
    CENTRE(0.5),
    THIRDS(1 / 3.0, 2 / 3.0),
    NINTHS(1 / 6.0, 0.5, 5 / 6.0);

    /** The most that a picture is enlarged for it. */
    private static final double MOST = 8;

    private final double[] shares;

    FocalPlace(double... shares) {
        this.shares = shares;
    }

    /** Where the focal point lies now, in the sitting's frame. */
    public static Point now(Sitting sitting, Pose placement, Focal focal) {
        return placement.toPanel(sitting.width(), sitting.height())
                .apply(new Point(focal.x() * sitting.width(), focal.y() * sitting.height()));
    }

    /** The nearest of these places to the focal point as it lies. */
    public Point nearest(Sitting sitting, Pose placement, Focal focal) {
        Box box = sitting.outline().bounds();
        Point now = now(sitting, placement, focal);
        return Arrays.stream(shares).boxed().flatMap(x -> Arrays.stream(shares)
                        .mapToObj(y -> new Point(box.x() + x * box.width(), box.y() + y * box.height())))
                .min(Comparator.comparingDouble(now::distance)).orElseThrow();
    }

    /** The placement moved so that the focal point lies on the nearest of these places, whether that covers or not. */
    public Pose brought(Sitting sitting, Pose placement, Focal focal) {
        Point step = nearest(sitting, placement, focal).minus(now(sitting, placement, focal));
        return placement.at(placement.centre().plus(step));
    }

    /**
     * As {@link #brought}, enlarged just so far that nothing is bare then; the same where that is so already. Empty where no enlargement up
     * to {@link #MOST} is enough.
     */
    public Optional<Pose> enlarged(Sitting sitting, Pose placement, Focal focal) {
        Point target = nearest(sitting, placement, focal).turned(-placement.turn());
        Box reach = sitting.reach(placement.turn());
        double before = placement.mirrored() ? 1 - focal.x() : focal.x();
        double across = sitting.width() * placement.scaleX();
        double down = sitting.height() * placement.scaleY();
        double factor = Math.max(1, Math.max(Math.max((target.x() - reach.x()) / (before * across),
                (reach.right() - target.x()) / ((1 - before) * across)),
                Math.max((target.y() - reach.y()) / (focal.y() * down), (reach.bottom() - target.y()) / ((1 - focal.y()) * down))));
        if (!(factor <= MOST)) return Optional.empty();
        // A hair more, so that rounding bares nothing.
        Pose large = placement.scaled(factor * (1 + 1e-9));
        return Optional.of(large.at(large.centre().plus(nearest(sitting, placement, focal).minus(now(sitting, large, focal)))));
    }

    /** What this kind of place is called. */
    public String place() {
        return List.of("the centre", "a crossing of thirds", "the middle of a ninth").get(ordinal());
    }
}
