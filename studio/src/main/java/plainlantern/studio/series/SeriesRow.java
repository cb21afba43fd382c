package plainlantern.studio.series;

import java.util.UUID;

/**
 * One row of {@code series}, without the documents.
 *
 * @param template    null where that was deleted for good
 * @param baseVersion the version of the template that its sheets follow
 * @param progress    0 to 1, while it works
 * @param said        what its owner should know
 * @param sheets      how many there are, put away or not
 */
public record SeriesRow(UUID id, String name, UUID template, long baseVersion, SeriesState state, double progress, String said,
        int sheets) {}
