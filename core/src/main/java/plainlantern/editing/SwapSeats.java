package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** Exchanges the places, sizes and turns of two panels; each keeps its form and what it shows. */
@JsonTypeName("swap-seats")
public record SwapSeats(String one, String other) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Panel a = before.panel(one);
        Panel b = before.panel(other);
        BadInput.unless(before.free(List.of(one, other)).size() == 2, "panels", "One of these panels is locked. Unlock it first.");
        return before.changing(List.of(one, other), p -> Refit.resized(before, p, p.withSeat(p.id().equals(one) ? b.seat() : a.seat())));
    }

    @Override
    public String title(Sheet before) {
        return "Swap places: " + before.panel(one).name() + " and " + before.panel(other).name();
    }
}
