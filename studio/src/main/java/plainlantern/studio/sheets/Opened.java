package plainlantern.studio.sheets;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import plainlantern.sheet.Sheet;

/**
 * A sheet as it stands.
 *
 * @param undo what undo would take back, empty where there is nothing
 * @param redo what redo would do again
 */
public record Opened(UUID id, long version, Sheet sheet, Optional<String> undo, Optional<String> redo, OffsetDateTime changedAt) {}
