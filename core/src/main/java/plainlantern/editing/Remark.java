package plainlantern.editing;

import java.util.Optional;

/**
 * What is said of an edit that was made and gave something else than was asked for.
 *
 * @param offer what can be done about it
 */
public record Remark(String says, Optional<Offer> offer) {
    /** An edit that would do it, and what its button says. */
    public record Offer(String label, Edit edit) {}

    public static Remark of(String says) {
        return new Remark(says, Optional.empty());
    }
}
