package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import plainlantern.asking.BadInput;

/**
 * An opaque sRGB colour, 0xRRGGBB; written as {@code #RRGGBB}, or {@code #RRGGBB@id} where it comes from the sheet's palette.
 *
 * @param swatch the id of the swatch that it follows, empty where it follows none
 */
public record Colour(int rgb, String swatch) {
    public static final Colour WHITE = new Colour(0xFFFFFF);
    public static final Colour BLACK = new Colour(0);
    /** As long as what is typed for a colour can be. */
    private static final int LONGEST = 80;
    private static final String NUMBER = "\\s*([0-9.]+)(%|deg)?\\s*";
    private static final Pattern FUNCTION = Pattern.compile("(rgb|hsl)\\(" + NUMBER + "[\\s,]" + NUMBER + "[\\s,]" + NUMBER + "\\)");

    public Colour {
        BadInput.unless(swatch.matches("[a-z0-9]{0,12}"), "colour", "A colour of the palette is named by its id.");
    }

    public Colour(int rgb) {
        this(rgb, "");
    }

    /**
     * Reads {@code #RGB} or {@code #RRGGBB}, with or without the number sign, {@code rgb(31, 72, 120)} and
     * {@code hsl(210, 50%, 40%)} as CSS Color 4 has them, with commas or without; throws {@link BadInput}.
     */
    @JsonCreator
    public static Colour of(String text) {
        BadInput.unless(text.length() <= LONGEST, "colour", "This is too long for a colour.");
        String told = text.strip().toLowerCase(Locale.ROOT);
        int at = told.indexOf('@');
        if (at >= 0) return new Colour(of(told.substring(0, at)).rgb, told.substring(at + 1));
        Matcher function = FUNCTION.matcher(told);
        if (function.matches()) return function.group(1).equals("rgb") ? ofRgb(function, text) : ofHsl(function, text);
        String digits = told.replaceFirst("^#", "");
        if (digits.matches("[0-9a-f]{3}")) digits = digits.replaceAll("(.)", "$1$1");
        if (!digits.matches("[0-9a-f]{6}")) throw wrong(text);
        return new Colour(Integer.parseInt(digits, 16));
    }

    private static Colour ofRgb(Matcher parts, String text) {
        int rgb = 0;
        for (int i = 0; i < 3; i++) {
            double value = number(parts.group(2 + 2 * i), text);
            if ("%".equals(parts.group(3 + 2 * i))) value *= 2.55;
            if (value > 255) throw wrong(text);
            rgb = rgb << 8 | (int) Math.round(value);
        }
        return new Colour(rgb);
    }

    /** CSS Color 4, section 7.1. */
    private static Colour ofHsl(Matcher parts, String text) {
        double hue = number(parts.group(2), text) % 360;
        double saturation = number(parts.group(4), text) / 100;
        double lightness = number(parts.group(6), text) / 100;
        if (saturation > 1 || lightness > 1) throw wrong(text);
        double reach = saturation * Math.min(lightness, 1 - lightness);
        int rgb = 0;
        for (int n : new int[] {0, 8, 4}) {
            double k = (n + hue / 30) % 12;
            rgb = rgb << 8 | (int) Math.round(255 * (lightness - reach * Math.max(-1, Math.min(Math.min(k - 3, 9 - k), 1))));
        }
        return new Colour(rgb);
    }

    private static double number(String digits, String text) {
        try {
            return Double.parseDouble(digits);
        } catch (NumberFormatException e) {
            throw wrong(text);
        }
    }

    private static BadInput wrong(String text) {
        return new BadInput("colour",
                "“" + text + "” is not a colour. Write it like #FAF8F4, rgb(250, 248, 244) or hsl(40, 38%, 97%).");
    }

    /** Its relative luminance as sRGB stores it: 0 for black, 1 for white, and each grey's own value for that. */
    public double brightness() {
        return Light.storing(Light.luminance(rgb));
    }

    /** The same colour following that swatch. */
    public Colour linked(String newSwatch) {
        return new Colour(rgb, newSwatch);
    }

    /** {@code #RRGGBB}. */
    public String hex() {
        return String.format(Locale.ROOT, "#%06X", rgb);
    }

    /** As it is written down: with the swatch that it follows. */
    @JsonValue
    public String told() {
        return swatch.isEmpty() ? hex() : hex() + "@" + swatch;
    }
}
