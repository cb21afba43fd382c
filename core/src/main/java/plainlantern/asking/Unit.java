package plainlantern.asking;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.text.DecimalFormat;
import java.text.DecimalFormatSymbols;
import java.util.Locale;

/**
 * The units people read and type. 1 in = 25.4 mm exactly (international yard and pound agreement, 1959), 1 pt = 1/72 in,
 * 1 px = 1/ppi in.
 */
public enum Unit {
    MM("mm", "0.00"), CM("cm", "0.000"), IN("in", "0.000"), PT("pt", "0.0"), PX("px", "0.#");

    public static final double MM_PER_INCH = 25.4;

    private final String symbol;
    private final DecimalFormat format;

    Unit(String symbol, String pattern) {
        this.symbol = symbol;
        this.format = new DecimalFormat(pattern, DecimalFormatSymbols.getInstance(Locale.ROOT));
    }

    public String symbol() {
        return symbol;
    }

    /** Millimetres in one of this unit, on a sheet of {@code ppi} pixels an inch. */
    public double inMm(double ppi) {
        return switch (this) {
            case MM -> 1;
            case CM -> 10;
            case IN -> MM_PER_INCH;
            case PT -> MM_PER_INCH / 72;
            case PX -> MM_PER_INCH / ppi;
        };
    }

    /** {@code mm} as people read it in this unit, without the unit's symbol: rounded for the eye only. */
    public String show(double mm, double ppi) {
        // A format of its own each time: they are not safe for several threads.
        String text = ((DecimalFormat) format.clone()).format(mm / inMm(ppi));
        if (!text.startsWith("-")) return text;
        boolean nothing = text.chars().allMatch(c -> c == '-' || c == '0' || c == '.');
        return (nothing ? "" : "\u2212") + text.substring(1);
    }

    /** A share as people read it: "4.2 %", "42 %". */
    public static String percent(double share) {
        return String.format(Locale.ROOT, share < 0.0995 ? "%.1f %%" : "%.0f %%", share * 100);
    }

    /** The unit with that symbol; throws {@link BadInput} where there is none. */
    @JsonCreator
    public static Unit of(String symbol) {
        for (Unit unit : values()) if (unit.symbol.equalsIgnoreCase(symbol)) return unit;
        throw new BadInput("“" + symbol + "” is not a unit. Use mm, cm, in, pt or px.");
    }
}
