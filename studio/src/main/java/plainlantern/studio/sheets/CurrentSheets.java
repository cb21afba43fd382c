package plainlantern.studio.sheets;

import java.util.UUID;
import plainlantern.sheet.Sheet;

/** Sheets with the sheets that they show as these are now. */
public interface CurrentSheets {
    /**
     * The same sheet with every picture that was drawn from another sheet in its newest version, at any depth. What is not painted yet is
     * painted first, which may take seconds for each. The stored document stays as it is.
     *
     * @throws plainlantern.asking.BadInput if the account has no room for a new drawing
     */
    Sheet current(UUID account, Sheet sheet);

    /** Whether a sheet shows other sheets. */
    boolean nests(UUID account, Sheet sheet);

    /** What the sheet shows, other sheets in it included: another text as soon as one of them has changed. */
    String state(UUID id);
}
