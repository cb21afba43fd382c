package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** Puts a copy of each panel in front of all others, moved by mm. */
@JsonTypeName("duplicate")
public record Duplicate(List<String> panels, double dx, double dy) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        List<Element> next = new ArrayList<>(before.elements());
        int lastId = before.lastId();
        for (Panel panel : before.panels(panels)) {
            lastId++;
            next.add(new Panel("p" + lastId, panel.name() + " copy", panel.outline(),
                    panel.seat().at(panel.seat().centre().plus(new Point(dx, dy))), panel.content()));
        }
        return before.with(next, lastId);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Duplicate", before, panels);
    }
}
