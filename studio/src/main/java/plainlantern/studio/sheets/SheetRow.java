package plainlantern.studio.sheets;

import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * One row of {@code sheet}, without the document.
 *
 * @param head    the revision that is shown
 * @param version grows with every change, undo and redo included
 * @param bytes   of all its steps and versions
 */
public record SheetRow(UUID id, UUID accountId, String name, int head, long version, OffsetDateTime changedAt, long bytes) {}
