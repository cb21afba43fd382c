package plainlantern.editing.mounting;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Outside;
import plainlantern.editing.Titles;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Brings the sides of mounted pictures to the strongest edges, a few millimetres around them, of what lies beneath.
 *
 * @param whole whether of a slice its whole vista is meant
 * @param layer which picture of each panel, see {@link plainlantern.sheet.Holder#acting}
 * @param found by panel in turn, as pixels tell
 */
@JsonTypeName("find-edges")
public record FindEdges(List<String> panels, @Typed.Switch boolean whole, @Typed.Layer int layer, List<Found> found)
        implements MountingEdit {
    /** The corners that were found for what a panel shows, mm on the sheet; empty where there are no edges. */
    public record Found(String panel, List<Point> corners) {}

    public FindEdges {
        found = found == null ? List.of() : List.copyOf(found);
    }

    @Override
    public FindEdges completed(Outside outside, Sheet before) {
        List<Found> now = new ArrayList<>();
        for (Holder panel : before.holders(panels)) {
            Optional<Planes.Hung> hung = Planes.hung(before, panel, whole, layer).filter(h -> h.plane().isPresent());
            if (hung.isEmpty()) continue;
            List<Point> corners = hung.get().plane().get().corners().stream().map(hung.get().toSheet()::apply).toList();
            now.add(new Found(panel.id(), outside.edges(before, hung.get().through(), corners).orElse(List.of())));
            if (whole) break;
        }
        return new FindEdges(panels, whole, layer, now);
    }

    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(!found.isEmpty(), "panels", "This picture lies flat. Mount it first.");
        BadInput.unless(found.stream().anyMatch(f -> f.corners().size() == 4), "panels",
                "There are no clear edges near these sides. Bring the corners nearer to the frame.");
        return Planes.changing(before, panels, whole, layer, hung -> found.stream().filter(f -> hung.through().contains(f.panel()))
                .filter(f -> f.corners().size() == 4).findFirst().map(f -> {
            Affine back = hung.toSheet().inverse();
            return hung.cornered(f.corners().stream().map(back::apply).toList(), before);
        }).or(hung::plane));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Find the edges", before, panels);
    }
}
