package plainlantern.editing.mounting;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.geometry.Point;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Brings a corner of a mounted picture to a place; a panel that has the frame's form goes with it.
 *
 * @param whole  whether of a slice its whole vista is meant
 * @param layer  which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 * @param corner from the upper left one on, clockwise, 0 to 3
 * @param set    of {@link Place}, see {@link Changes}
 */
@JsonTypeName("set-corner")
public record SetCorner(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer, @Typed.Whole int corner,
        @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements MountingEdit {
    /** mm on the sheet. */
    record Place(@Typed.Length double across, @Typed.Length double down) {}

    public SetCorner {
        BadInput.unless(corner >= 0 && corner < 4, "corner", "A mounted picture has four corners.");
        set = Changes.only(set, List.of("across", "down"));
    }

    @Override
    public Sheet apply(Sheet before) {
        return Planes.changingMounted(before, panels, whole, layer, (hung, plane) -> {
            List<Point> corners = new ArrayList<>(plane.corners());
            Point was = hung.toSheet().apply(corners.get(corner));
            Place to = Changes.onto(new Place(was.x(), was.y()), set, before);
            Seat.near(set.containsKey("down") && !set.containsKey("across") ? "down" : "across", to.across(), to.down());
            corners.set(corner, hung.toSheet().inverse().apply(new Point(to.across(), to.down())));
            return hung.cornered(corners, before);
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move a corner", before, panels);
    }
}
