package plainlantern.sheet;

import java.util.List;
import java.util.stream.Stream;
import plainlantern.geometry.Choice;

/** The blend modes of W3C Compositing and Blending Level 1, under their CSS names. */
public enum Blend implements Choice {
    NORMAL, MULTIPLY, SCREEN, OVERLAY, DARKEN, LIGHTEN, COLOR_DODGE, COLOR_BURN, HARD_LIGHT, SOFT_LIGHT, DIFFERENCE, EXCLUSION,
    HUE, SATURATION, COLOR, LUMINOSITY;

    /** All CSS names, in the order of the specification. */
    public static List<String> names() {
        return Stream.of(values()).map(Blend::css).toList();
    }

    /** The CSS name, such as {@code soft-light}. */
    public String css() {
        return label();
    }
}
