package plainlantern.asking;

/**
 * Reads what people type for a length or a number: {@code 12.5}, {@code 1 in}, {@code 210/3 - 2mm}, {@code (3+4)*2 cm}.
 * A number without a unit is in the sheet's unit. Decimal comma and the true minus sign are understood.
 */
public final class Lengths {
    /** What is typed for a number is no longer than this. */
    private static final int LONGEST = 200;
    private static final double MOST = 1e6;

    private final String text;
    private final String field;
    private final Unit unit;
    private final double ppi;
    private int at;

    private Lengths(String text, String field, Unit unit, double ppi) {
        BadInput.unless(text.length() <= LONGEST, field, "This is too long for a number: " + LONGEST + " characters at most.");
        this.text = text.replace('\u2212', '-').replace('\u00d7', '*').replace(',', '.');
        this.field = field;
        this.unit = unit;
        this.ppi = ppi;
    }

    /** A value on its way through a sum: a length counts millimetres and knows its unit's, a plain number has no unit yet. */
    private record Term(double value, boolean length, double inMm) {
        static Term plain(double value) {
            return new Term(value, false, 1);
        }

        Term with(double newValue) {
            return new Term(newValue, length, inMm);
        }
    }

    /**
     * The length in millimetres.
     *
     * @param field names the input in an error
     * @param unit  what a bare number means
     * @param ppi   pixels an inch of the sheet, for px
     * @throws BadInput when the text is no length
     */
    public static double mm(String text, String field, Unit unit, double ppi) {
        Lengths reader = new Lengths(text == null ? "" : text, field, unit, ppi);
        Term whole = reader.whole();
        return reader.finite(whole.length() ? whole.value() : whole.value() * unit.inMm(ppi));
    }

    /** A number without a unit; a trailing {@code %} or {@code °} is let through. Throws {@link BadInput}. */
    public static double number(String text, String field) {
        String bare = text == null ? "" : text.strip();
        if (bare.endsWith("%") || bare.endsWith("°")) bare = bare.substring(0, bare.length() - 1);
        Lengths reader = new Lengths(bare, field, Unit.MM, 72);
        Term whole = reader.whole();
        if (whole.length()) throw new BadInput(field, "“" + text + "” has a unit, but a plain number is wanted here.");
        return reader.finite(whole.value());
    }

    private Term whole() {
        skip();
        if (at == text.length()) throw new BadInput(field, "Type a number here.");
        Term value = sum();
        skip();
        if (at < text.length()) throw unreadable();
        return value;
    }

    private Term sum() {
        Term left = product();
        for (char sign = next("+-"); sign != 0; sign = next("+-")) {
            Term right = product();
            boolean length = left.length() || right.length();
            double a = length ? asMm(left) : left.value();
            double b = length ? asMm(right) : right.value();
            left = (left.length() ? left : right).with(sign == '+' ? a + b : a - b);
        }
        return left;
    }

    private Term product() {
        Term left = factor();
        for (char sign = next("*/"); sign != 0; sign = next("*/")) {
            Term right = factor();
            if (sign == '*') {
                if (left.length() && right.length()) throw new BadInput(field, "“" + text + "” multiplies two lengths.");
                left = (left.length() ? left : right).with(left.value() * right.value());
            } else {
                if (right.value() == 0) throw new BadInput(field, "“" + text + "” divides by zero.");
                left = quotient(left, right);
            }
        }
        return left;
    }

    /** The unit behind a fraction belongs to all of it: 1/4 in is a quarter of an inch. */
    private static Term quotient(Term over, Term under) {
        if (over.length() && under.length()) return Term.plain(over.value() / under.value());
        if (!under.length()) return over.with(over.value() / under.value());
        return under.with(over.value() / (under.value() / under.inMm()) * under.inMm());
    }

    private Term factor() {
        char sign = next("+-(");
        if (sign == '-') {
            Term term = factor();
            return term.with(-term.value());
        }
        if (sign == '+') return factor();
        if (sign == '(') {
            Term inside = sum();
            if (next(")") == 0) throw unreadable();
            return withUnit(inside);
        }
        int start = at;
        while (at < text.length() && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.')) at++;
        try {
            return withUnit(Term.plain(Double.parseDouble(text.substring(start, at))));
        } catch (NumberFormatException e) {
            throw unreadable();
        }
    }

    private Term withUnit(Term term) {
        skip();
        int start = at;
        while (at < text.length() && (Character.isLetter(text.charAt(at)) || text.charAt(at) == '"')) at++;
        if (start == at) return term;
        String symbol = text.substring(start, at).replace("\"", "in");
        if (term.length()) throw unreadable();
        try {
            double inMm = Unit.of(symbol).inMm(ppi);
            return new Term(term.value() * inMm, true, inMm);
        } catch (BadInput e) {
            throw new BadInput(field, e.getMessage());
        }
    }

    private double asMm(Term term) {
        return term.length() ? term.value() : term.value() * unit.inMm(ppi);
    }

    private char next(String wanted) {
        skip();
        return at < text.length() && wanted.indexOf(text.charAt(at)) >= 0 ? text.charAt(at++) : 0;
    }

    private void skip() {
        while (at < text.length() && Character.isWhitespace(text.charAt(at))) at++;
    }

    private double finite(double value) {
        if (!Double.isFinite(value) || Math.abs(value) > MOST) throw new BadInput(field, "“" + text + "” is too large.");
        return value;
    }

    /** A number that was not typed but sent, as it is; throws {@link BadInput} where it is beyond what may be typed. */
    static double sent(double value, String field) {
        BadInput.unless(Math.abs(value) <= MOST, field, "That number is too large.");
        return value;
    }

    private BadInput unreadable() {
        return new BadInput(field, "“" + text + "” is not a number. Write it like 12.5, 1 in or 210/3 - 2mm.");
    }
}
