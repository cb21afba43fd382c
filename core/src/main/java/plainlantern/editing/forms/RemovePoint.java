package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.editing.Titles;
import plainlantern.sheet.Sheet;

/**
 * Takes a point out of a form; its two sides become one.
 *
 * @param point by its number along the outline, from 0
 */
@JsonTypeName("remove-point")
public record RemovePoint(String panel, int point) implements FormEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Drawn.changed(before, Drawn.panel(before, panel), nodes -> {
            Drawn.node(nodes, point);
            return nodes.without(point);
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Remove point", before, List.of(panel));
    }
}
