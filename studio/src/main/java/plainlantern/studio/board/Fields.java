package plainlantern.studio.board;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import plainlantern.asking.Questions.Question;
import plainlantern.asking.Questions;
import plainlantern.asking.Unit;
import plainlantern.sheet.Sheet;

/** Fields of the bench, built from what a record of the core asks for. */
final class Fields {
    private Fields() {}

    /**
     * A field.
     *
     * @param kind  of the question, in lower case
     * @param value as people read it; empty for switches
     * @param on    switches only
     */
    public record Field(String name, String label, String kind, String value, boolean on) {}

    /**
     * @param values  the values that stand in the fields; absent means the first ones
     * @param shorter the shorter side of the area at hand, mm: first lengths are shares of it
     */
    static List<Field> of(Class<?> type, Optional<? extends Record> values, Numbers numbers, double shorter) {
        return Questions.of(type).stream().map(q -> {
            Object value = values.map(v -> Questions.value(v, q.name())).orElse(null);
            boolean on = value == null ? q.first().equals("true") : Boolean.TRUE.equals(value);
            return new Field(q.name(), q.label(), q.kind().name().toLowerCase(Locale.ROOT), value == null ? first(q, numbers, shorter)
                    : shown(q, value, numbers), on);
        }).toList();
    }

    private static String first(Question q, Numbers numbers, double shorter) {
        return switch (q.kind()) {
            case LENGTH -> numbers.length(length(Double.parseDouble(q.first()) * shorter, numbers.sheet()));
            case SHARE -> share(Double.parseDouble(q.first()));
            case TURN -> q.first() + "°";
            case SWITCH -> "";
            default -> q.first();
        };
    }

    /** Plain in the sheet's unit; of pixels one at least, and whole. */
    private static double length(double mm, Sheet sheet) {
        double plain = plain(mm, sheet.unit().inMm(sheet.ppi()));
        return sheet.unit() == Unit.PX && plain > 0 ? sheet.even(plain) : plain;
    }

    private static String shown(Question q, Object value, Numbers numbers) {
        return switch (q.kind()) {
            case LENGTH -> numbers.length((Double) value);
            case SHARE -> share((Double) value);
            case TURN -> trimmed((Double) value) + "°";
            case WHOLE -> value.toString();
            case NUMBER -> trimmed((Double) value);
            case SWITCH -> "";
            case WEIGHTS -> ((List<?>) value).stream().map(w -> trimmed((Double) w)).reduce((a, b) -> a + ":" + b).orElse("");
        };
    }

    private static String share(double share) {
        return trimmed(Math.round(share * 1000) / 10.0) + " %";
    }

    private static String trimmed(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    /** {@code mm} rounded to 1, 2 or 5 times a power of ten of the unit. */
    static double plain(double mm, double inMm) {
        if (mm <= 0) return 0;
        double value = mm / inMm;
        double power = Math.pow(10, Math.floor(Math.log10(value)));
        double lead = value / power;
        return (lead < 1.5 ? 1 : lead < 3.5 ? 2 : lead < 7.5 ? 5 : 10) * power * inMm;
    }
}
