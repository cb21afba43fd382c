package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/**
 * Exchanges what two panels show; each picture keeps its zoom and its place relative to its new panel.
 *
 * @param anew whether pictures just cover their new panel instead, see {@link FillPanels}
 */
@JsonTypeName("swap")
public record SwapContent(String one, String other, @Typed.Switch boolean anew) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Panel a = before.panel(one);
        Panel b = before.panel(other);
        before.takers(List.of(one));
        before.takers(List.of(other));
        return before.changing(List.of(one, other), p -> {
            Panel giver = p.id().equals(one) ? b : a;
            return CopyContent.taken(before, giver, p, anew);
        });
    }

    @Override
    public String title(Sheet before) {
        return "Swap: " + before.panel(one).name() + " and " + before.panel(other).name();
    }
}
