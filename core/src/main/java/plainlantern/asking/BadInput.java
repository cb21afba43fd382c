package plainlantern.asking;

/**
 * Something that a person typed, dropped or asked for cannot be done. The message says what is wrong and what would
 * do; nothing has been changed. {@code field} names the input it belongs to, or is empty.
 */
public class BadInput extends RuntimeException {
    private final String field;

    public BadInput(String field, String message) {
        super(message);
        this.field = field;
    }

    public BadInput(String message) {
        this("", message);
    }

    public String field() {
        return field;
    }

    /** Refuses with {@code message} at {@code field} unless {@code holds}. */
    public static void unless(boolean holds, String field, String message) {
        if (!holds) throw new BadInput(field, message);
    }
}
