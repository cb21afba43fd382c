package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Exchanges what two panels show; each picture keeps its zoom and its place relative to its new panel.
 *
 * @param anew whether pictures just cover their new panel instead, see {@link FillPanels}
 */
@JsonTypeName("swap")
public record SwapContent(String one, String other, @Typed.Switch boolean anew) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Holder a = before.holder(one);
        Holder b = before.holder(other);
        before.takers(List.of(one));
        before.takers(List.of(other));
        return before.holding(List.of(one, other), p -> {
            Holder giver = p.id().equals(one) ? b : a;
            return CopyContent.taken(before, giver, p, anew);
        });
    }

    @Override
    public String title(Sheet before) {
        return "Swap: " + before.element(one).name() + " and " + before.element(other).name();
    }
}
