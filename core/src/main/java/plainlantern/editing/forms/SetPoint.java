package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Point;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Gives a point of a form an exact place, or makes it a corner or a smooth point.
 *
 * @param point   by its number along the outline, from 0
 * @param across  mm from the sheet's left; absent leaves it
 * @param down    mm from the sheet's top; likewise
 * @param becomes absent leaves it
 */
@JsonTypeName("set-point")
public record SetPoint(String panel, int point, @Typed.OptionalLength OptionalDouble across, @Typed.OptionalLength OptionalDouble down,
        Optional<Kind> becomes) implements FormEdit {
    /** What a point is like. */
    public enum Kind implements Choice { CORNER, SMOOTH }

    public SetPoint {
        becomes = becomes == null ? Optional.empty() : becomes;
    }

    @Override
    public Sheet apply(Sheet before) {
        Holder of = Drawn.panel(before, panel);
        Point at = Drawn.node(Drawn.nodes(of), point).at();
        Point by = Drawn.far(new Point(across.orElse(at.x()), down.orElse(at.y())), "across").minus(at);
        Sheet now = by.length() == 0 ? before : new MovePoint(panel, point, MovePoint.Part.POINT, by.x(), by.y(), false).apply(before);
        if (becomes.isEmpty()) return now;
        return Drawn.changed(now, now.holder(panel), nodes -> becomes.get() == Kind.SMOOTH ? nodes.smoothed(point)
                : nodes.with(point, Nodes.Node.corner(nodes.get(point).at())));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(becomes.map(k -> k == Kind.SMOOTH ? "Smooth point" : "Corner point").orElse("Place point"), before,
                List.of(panel));
    }
}
