package plainlantern.studio.proofs;

import java.time.OffsetDateTime;
import java.util.UUID;

/**
 * What a visitor put on a sheet.
 *
 * @param x share of the sheet's width
 * @param y share of its height
 */
public record Note(UUID id, UUID sheet, double x, double y, String author, String says, String answer, boolean done,
        OffsetDateTime madeAt) {}
