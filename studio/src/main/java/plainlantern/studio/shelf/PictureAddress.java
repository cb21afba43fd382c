package plainlantern.studio.shelf;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Treated;
import plainlantern.sheet.Treatment;

/** Where the previews of a treated picture are: its treatment is a part of the address, so that each may be kept for good. */
public final class PictureAddress {
    private static final Pattern CLEARED = Pattern.compile("without-([0-9a-f]{6})-([0-9]{1,4})-([0-9]{1,4})");

    private PictureAddress() {}

    /** Such as "/pictures/…" or "/pictures/…/without-ffffff-100-80"; the level follows. */
    public static String of(Treated what) {
        return "/pictures/" + what.picture() + (what.treatment().none() ? "" : "/" + written(what.treatment()));
    }

    /** A background's colour, and its tolerance and softness in thousandths. */
    private static String written(Treatment treatment) {
        return treatment.cleared().map(clear -> String.format(Locale.ROOT, "without-%06x-%d-%d", clear.colour().rgb(),
                Math.round(clear.tolerance() * 1000), Math.round(clear.softness() * 1000))).orElseThrow();
    }

    /** The treatment that a part of an address names. */
    static Optional<Treatment> read(String written) {
        Matcher parts = CLEARED.matcher(written);
        return parts.matches() ? Optional.of(new Treatment(Optional.of(new Cleared(Colour.of(parts.group(1)), thousandth(parts.group(2)),
                thousandth(parts.group(3)))))) : Optional.empty();
    }

    private static double thousandth(String digits) {
        return Integer.parseInt(digits) / 1000.0;
    }
}
