package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;

/** A part of a tone that may be as if it were not there; documents leave it out then. */
public interface Neutral {
    @JsonIgnore
    boolean neutral();

    /** What Jackson leaves out: it asks whether this equals a value. */
    final class LeftOut {
        @Override
        public boolean equals(Object value) {
            return value == null || value instanceof Neutral part && part.neutral();
        }

        @Override
        public int hashCode() {
            return 0;
        }
    }
}
