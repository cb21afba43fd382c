package plainlantern.studio.web;

/** Somebody asks too often. */
public final class TooMany extends RuntimeException {
    public TooMany() {
        super("Too many tries");
    }
}
