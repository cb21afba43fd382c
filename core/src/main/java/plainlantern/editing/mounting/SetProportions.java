package plainlantern.editing.mounting;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Lengths;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Sheet;

/**
 * Says the true proportions of the frame that pictures are mounted in.
 *
 * @param whole       whether of a slice its whole vista is meant
 * @param layer       which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 * @param proportions width to height as people write it, such as "3 : 2" or "1.5"; empty for those that the corners tell
 */
@JsonTypeName("set-proportions")
public record SetProportions(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer, String proportions)
        implements MountingEdit {
    private static final String FIELD = "proportions";

    @Override
    public Sheet apply(Sheet before) {
        String said = proportions.strip();
        return Planes.changingMounted(before, panels, whole, layer, (hung, plane) -> said.isEmpty()
                ? hung.told(plane.corners(), before) : plane.shaped(ratio(said), true));
    }

    private static double ratio(String said) {
        String[] parts = said.split(":", -1);
        BadInput.unless(parts.length <= 2, FIELD, "Proportions are width to height, such as 3 : 2.");
        double ratio = Lengths.number(parts[0], FIELD) / (parts.length == 1 ? 1 : Lengths.number(parts[1], FIELD));
        BadInput.unless(ratio >= Plane.NARROWEST && ratio <= 1 / Plane.NARROWEST, FIELD, "Proportions are between 1 : 100 and 100 : 1.");
        return ratio;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(proportions.isBlank() ? "Proportions as the corners tell" : "Proportions " + proportions.strip(), before, panels);
    }
}
