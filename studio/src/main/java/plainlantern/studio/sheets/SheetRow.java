package plainlantern.studio.sheets;

import java.time.OffsetDateTime;
import java.util.UUID;

/** One row of {@code sheet}, without the document. */
public record SheetRow(UUID id, UUID accountId, String name, int head, long version, OffsetDateTime changedAt) {}
