package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.util.Locale;
import plainlantern.geometry.BadInput;

/** An opaque sRGB colour, 0xRRGGBB; read and written as {@code #RRGGBB}. */
public record Colour(int rgb) {
    public static final Colour WHITE = new Colour(0xFFFFFF);

    /** Reads {@code #RGB} or {@code #RRGGBB}, with or without the number sign; throws {@link BadInput}. */
    @JsonCreator
    public static Colour of(String hex) {
        String digits = hex.strip().replaceFirst("^#", "");
        if (digits.matches("[0-9a-fA-F]{3}")) digits = digits.replaceAll("(.)", "$1$1");
        BadInput.unless(digits.matches("[0-9a-fA-F]{6}"), "colour", "“" + hex + "” is not a colour. Write it like #FAF8F4.");
        return new Colour(Integer.parseInt(digits, 16));
    }

    @JsonValue
    public String hex() {
        return String.format(Locale.ROOT, "#%06X", rgb);
    }
}
