package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** Exchanges the places, sizes and turns of two panels; each keeps its form and what it shows. */
@JsonTypeName("swap-seats")
public record SwapSeats(String one, String other) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Element a = before.element(one);
        Element b = before.element(other);
        BadInput.unless(before.free(List.of(one, other)).size() == 2, "panels", "One of these panels is locked. Unlock it first.");
        return before.changing(List.of(one, other), p ->
                p.seated(p.id().equals(one) ? b.seat() : a.seat(), (was, is) -> Refit.resized(before, was, is)));
    }

    @Override
    public String title(Sheet before) {
        return "Swap places: " + before.element(one).name() + " and " + before.element(other).name();
    }
}
