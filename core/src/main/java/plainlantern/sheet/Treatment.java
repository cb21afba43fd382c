package plainlantern.sheet;

import java.util.Optional;

/**
 * What is done to a picture's pixels before they are painted; its file stays as it is.
 *
 * @param cleared the plain background that is taken out
 */
public record Treatment(Optional<Cleared> cleared) {
    public static final Treatment NONE = new Treatment(Optional.empty());

    public Treatment {
        cleared = cleared == null ? Optional.empty() : cleared;
    }

    public Treatment clearing(Optional<Cleared> newCleared) {
        return new Treatment(newCleared);
    }

    /** Whether pixels stay as they are. */
    public boolean none() {
        return equals(NONE);
    }

    /** Whether it can make opaque pixels clear. */
    public boolean clears() {
        return cleared.isPresent();
    }
}
