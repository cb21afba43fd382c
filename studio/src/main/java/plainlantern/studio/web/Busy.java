package plainlantern.studio.web;

/** There is no room for this just now. The message says what can be done. */
public class Busy extends RuntimeException {
    public Busy(String message) {
        super(message, null, false, false);
    }
}
