package plainlantern.geometry;

import com.fasterxml.jackson.annotation.JsonValue;

/** Which places are inside of a path, by SVG's names (SVG 2, 13.4.2). */
public enum FillRule {
    /** Those around which its contours go an odd number of times. */
    EVEN_ODD("evenodd"),
    /** Those around which its contours go, one way taken off the other. */
    NON_ZERO("nonzero");

    private final String label;

    FillRule(String label) {
        this.label = label;
    }

    @JsonValue
    public String label() {
        return label;
    }

    /** Whether a place is inside, around which the contours go so many times. */
    boolean inside(int winding) {
        return this == EVEN_ODD ? winding % 2 != 0 : winding != 0;
    }
}
