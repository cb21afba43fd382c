package plainlantern.studio.shelf;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;

/** A background that is taken out of a picture, as a part of the address of its previews. */
public final class ClearAddress {
    private static final Pattern FORM = Pattern.compile("without-([0-9a-f]{6})-([0-9]{1,4})-([0-9]{1,4})");

    private ClearAddress() {}

    /** Such as "without-ffffff-100-80": the colour, tolerance and softness in thousandths. */
    public static String of(Cleared clear) {
        return String.format(Locale.ROOT, "without-%06x-%d-%d", clear.colour().rgb(), Math.round(clear.tolerance() * 1000), Math.round(clear.softness() * 1000));
    }

    static Optional<Cleared> read(String address) {
        Matcher parts = FORM.matcher(address);
        return parts.matches() ? Optional.of(new Cleared(Colour.of(parts.group(1)), Integer.parseInt(parts.group(2)) / 1000.0, Integer.parseInt(parts.group(3)) / 1000.0)) : Optional.empty();
    }
}
