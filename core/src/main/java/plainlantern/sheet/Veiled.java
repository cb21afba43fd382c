package plainlantern.sheet;

import java.util.List;
import java.util.Map;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;

/**
 * A veil where it lies over what it hides parts of.
 *
 * @param parts   as told in a frame
 * @param toFrame from shares of the width and height of what is painted to that frame
 * @param forms   those of the panels that parts name, in the frame; without those that are gone
 * @param mm      how long a millimetre of the sheet is in the frame
 */
public record Veiled(List<VeilPart> parts, Affine toFrame, Map<String, Path> forms, double mm) {
    public Veiled {
        parts = List.copyOf(parts);
        forms = Map.copyOf(forms);
    }

    /** Whether it looks at colours. */
    public boolean looks() {
        return parts.stream().anyMatch(VeilPart.Colours.class::isInstance);
    }
}
