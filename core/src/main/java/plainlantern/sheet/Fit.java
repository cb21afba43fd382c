package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonValue;

/** The rule that places a picture in its panel. CSS Images 3 calls the first four cover, contain, fill and none. */
public enum Fit {
    /** As small as possible with nothing of the panel bare. */
    COVER("cover"),
    /** As large as possible with all of the picture seen. */
    CONTAIN("contain"),
    /** Both axes apart, so that the picture's edges meet the panel's box. */
    STRETCH("stretch"),
    /** One picture pixel for one pixel of the sheet. */
    ACTUAL("actual size"),
    /** Moved by hand. */
    FREE("free");

    private final String label;

    Fit(String label) {
        this.label = label;
    }

    @JsonValue
    public String label() {
        return label;
    }
}
