package plainlantern.editing;

import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Path;

/**
 * A pattern as it would be laid.
 *
 * @param cells  its pieces on the sheet
 * @param says   what is to be said of it
 * @param lost   what content would go, in words
 * @param across the ends of a level grid's columns, mm; empty for other patterns
 * @param down   of its rows
 */
public record Laid(List<Path> cells, String says, Optional<String> lost, List<double[]> across, List<double[]> down) {}
