package plainlantern.studio.sheets;

import java.time.OffsetDateTime;
import java.util.UUID;

/** One row of {@code keep}, without its document. */
public record KeepRow(UUID id, String name, OffsetDateTime madeAt) {}
