package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;

/**
 * A picture that lies flat in its panel.
 *
 * @param fit  the rule that placed it
 * @param pose where it lies
 * @param held whether moves and zooms stop before an edge of the picture shows
 */
@JsonTypeName("flat")
public record Flat(Fit fit, Pose pose, boolean held) implements Placement {
    /** The same placed by another rule, elsewhere. */
    public Flat settled(Fit newFit, Pose newPose) {
        return new Flat(newFit, newPose, held);
    }

    public Flat settled(Fit newFit, Pose newPose, boolean newlyHeld) {
        return new Flat(newFit, newPose, newlyHeld);
    }

    @Override
    public Optional<Flat> flat() {
        return Optional.of(this);
    }
}
