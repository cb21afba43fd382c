package plainlantern.sheet;

import plainlantern.asking.Choice;

/** The blend modes of W3C Compositing and Blending Level 1, under their CSS names. */
public enum Blend implements Choice {
    NORMAL, MULTIPLY, SCREEN, OVERLAY, DARKEN, LIGHTEN, COLOR_DODGE, COLOR_BURN, HARD_LIGHT, SOFT_LIGHT, DIFFERENCE, EXCLUSION,
    HUE, SATURATION, COLOR, LUMINOSITY;

    /** A plain name with the CSS name beside it: "Soft light · soft-light". */
    public String title() {
        String plain = css().replace('-', ' ').replace("color", "colour");
        String name = Character.toUpperCase(plain.charAt(0)) + plain.substring(1);
        return this == NORMAL ? name : name + " \u00b7 " + css();
    }

    /** The CSS name, such as {@code soft-light}. */
    public String css() {
        return label();
    }
}
