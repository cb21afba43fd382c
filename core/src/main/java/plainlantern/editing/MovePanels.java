package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Point;
import plainlantern.sheet.Sheet;

/** Moves panels with what they show, by mm on the sheet. */
@JsonTypeName("move-panels")
public record MovePanels(List<String> panels, double dx, double dy) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Point by = new Point(dx, dy);
        return before.moving(panels, p -> p.withSeat(p.seat().at(p.seat().centre().plus(by))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move", before, panels);
    }
}
