package plainlantern.studio.sheets;

import java.util.UUID;

/** A sheet whose stored document cannot be read. */
public class Damaged extends RuntimeException {
    private final UUID sheet;

    Damaged(UUID sheet, Throwable cause) {
        super("This sheet can’t be read. Under My sheets you can go back to its last step that can, or delete it.", cause);
        this.sheet = sheet;
    }

    public UUID sheet() {
        return sheet;
    }
}
