package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import plainlantern.asking.Choice;
import plainlantern.editing.Titles;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/** Brings panels forward or sends them back, their order among each other kept. */
@JsonTypeName("raise")
public record Raise(List<String> panels, To to) implements PlacingEdit {
    /** How far. */
    public enum To implements Choice {
        FRONT, FORWARD, BACKWARD, BOTTOM
    }

    @Override
    public Sheet apply(Sheet before) {
        before.elements(panels);
        Set<String> chosen = new HashSet<>(panels);
        List<Element> next = new ArrayList<>(before.elements());
        if (to == To.FRONT || to == To.BOTTOM) {
            List<Element> taken = next.stream().filter(e -> chosen.contains(e.id())).toList();
            next.removeAll(taken);
            next.addAll(to == To.FRONT ? next.size() : 0, taken);
        } else {
            int step = to == To.FORWARD ? 1 : -1;
            int first = step > 0 ? next.size() - 2 : 1;
            for (int i = first; i >= 0 && i < next.size(); i -= step) {
                if (!chosen.contains(next.get(i).id()) || chosen.contains(next.get(i + step).id())) continue;
                next.add(i + step, next.remove(i));
            }
        }
        return before.with(next);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(to == To.FRONT || to == To.FORWARD ? "Bring forward" : "Send back", before, panels);
    }
}
