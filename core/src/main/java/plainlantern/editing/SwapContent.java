package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** Exchanges what two panels show; each picture keeps its zoom and its place relative to its new panel. */
@JsonTypeName("swap")
public record SwapContent(String one, String other) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Panel a = before.panel(one);
        Panel b = before.panel(other);
        return before.changing(List.of(one, other), p -> {
            Panel giver = p.id().equals(one) ? b : a;
            return Refit.resized(before, giver, p.withContent(giver.content()));
        });
    }

    @Override
    public String title(Sheet before) {
        return "Swap: " + before.panel(one).name() + " and " + before.panel(other).name();
    }
}
