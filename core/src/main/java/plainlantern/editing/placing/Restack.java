package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/**
 * Changes a panel's depth.
 *
 * @param to its place in the line-up afterwards, 0 at the back; beyond either end means that end
 */
@JsonTypeName("restack")
public record Restack(String panel, int to) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Element moved = before.element(panel);
        List<Element> next = new ArrayList<>(before.elements());
        next.remove(moved);
        next.add(Math.max(0, Math.min(to, next.size())), moved);
        return before.with(next);
    }

    @Override
    public String title(Sheet before) {
        return "Change depth: " + before.element(panel).name();
    }
}
