package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;

/**
 * Puts copies of panels in front of all others, each set moved by mm against the one before. Copies of a group are a group.
 *
 * @param copies 1 to 500; absent means one
 */
@JsonTypeName("duplicate")
public record Duplicate(List<String> panels, @Typed.Length double dx, @Typed.Length double dy, @Typed.OptionalNumber OptionalDouble copies)
        implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        List<Element> next = new ArrayList<>(before.elements());
        int lastId = before.lastId();
        Set<String> names = new HashSet<>(before.elements().stream().map(Element::name).toList());
        double count = copies.orElse(1);
        BadInput.unless(count == Math.rint(count) && count >= 1 && count <= 500, "copies", "1 to 500 copies can be made at once.");
        for (int copy = 1; copy <= count; copy++) {
            Map<String, String> groups = new HashMap<>();
            for (Element panel : before.elements(panels)) {
                lastId++;
                int number = lastId;
                String group = panel.group().isEmpty() ? "" : groups.computeIfAbsent(panel.group(), g -> "g" + number);
                String name = Titles.next(names, panel.name());
                names.add(name);
                next.add(panel.copied("p" + lastId, name).grouped(group)
                        .withSeat(panel.seat().at(panel.seat().centre().plus(new Point(dx * copy, dy * copy)))));
            }
        }
        return before.with(next, lastId);
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Duplicate", before, panels);
    }
}
