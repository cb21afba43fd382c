package plainlantern.geometry;

/**
 * Reads what people type for a length or a number: {@code 12.5}, {@code 1 in}, {@code 210/3 - 2mm}, {@code (3+4)*2 cm}.
 * A number without a unit is in the sheet's unit. Decimal comma and the true minus sign are understood.
 */
public final class Lengths {
    private final String text;
    private final String field;
    private final Unit unit;
    private final double ppi;
    private int at;

    private Lengths(String text, String field, Unit unit, double ppi) {
        this.text = text.replace('\u2212', '-').replace('\u00d7', '*').replace(',', '.');
        this.field = field;
        this.unit = unit;
        this.ppi = ppi;
    }

    /** A value on its way through a sum: a length counts millimetres, a plain number has no unit yet. */
    private record Term(double value, boolean length) {}

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
        String bare = text == null ? "" : text.strip().replaceAll("\\s*[%°]$", "");
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
            left = new Term(sign == '+' ? a + b : a - b, length);
        }
        return left;
    }

    private Term product() {
        Term left = factor();
        for (char sign = next("*/"); sign != 0; sign = next("*/")) {
            Term right = factor();
            if (sign == '*') {
                if (left.length() && right.length()) throw new BadInput(field, "“" + text + "” multiplies two lengths.");
                left = new Term(left.value() * right.value(), left.length() || right.length());
            } else {
                if (right.value() == 0) throw new BadInput(field, "“" + text + "” divides by zero.");
                if (right.length() && !left.length()) left = new Term(asMm(left), true);
                left = new Term(left.value() / right.value(), left.length() && !right.length());
            }
        }
        return left;
    }

    private Term factor() {
        char sign = next("+-(");
        if (sign == '-') {
            Term term = factor();
            return new Term(-term.value(), term.length());
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
            return withUnit(new Term(Double.parseDouble(text.substring(start, at)), false));
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
            return new Term(term.value() * Unit.of(symbol).inMm(ppi), true);
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
        if (!Double.isFinite(value) || Math.abs(value) > 1e6) throw new BadInput(field, "“" + text + "” is too large.");
        return value;
    }

    private BadInput unreadable() {
        return new BadInput(field, "“" + text + "” is not a number. Write it like 12.5, 1 in or 210/3 - 2mm.");
    }
}
