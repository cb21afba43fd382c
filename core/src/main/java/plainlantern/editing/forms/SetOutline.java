package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.outline.Outline;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Gives panels another form; seat, name and content stay. */
@JsonTypeName("set-outline")
public record SetOutline(List<String> panels, Outline outline) implements FormEdit {
    @Override
    public Sheet apply(Sheet before) {
        boolean straight = before.elements(panels).stream().allMatch(e -> e.rule().isPresent());
        BadInput.unless(!straight, "panels", "A rule is straight, and its form stays.");
        return before.holding(panels, p -> formed(before, p));
    }

    /**
     * A form of the same kind that has its own proportions, and was not stretched out of them, keeps them: six sides become a regular five.
     */
    private Holder formed(Sheet before, Holder panel) {
        Outline was = panel.outline();
        Seat seat = panel.seat();
        boolean regular = was.getClass() == outline.getClass() && was.aspect() != outline.aspect()
                && Math.abs(seat.width() / seat.height() / was.aspect() - 1) < 1e-6;
        if (!regular) return Refit.reformed(before, panel.withOutline(outline));
        double area = seat.width() * seat.height();
        return Refit.resized(before, panel, panel.withOutline(outline)
                .withSeat(seat.sized(Math.sqrt(area * outline.aspect()), Math.sqrt(area / outline.aspect()))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Make " + outline.label(), before, panels);
    }
}
