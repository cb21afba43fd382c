package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.CornerCuts;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Rounds or bevels corners of panels of any form. A plain rectangle whose corners are all rounded stays one, with a radius.
 *
 * @param size   mm: the radius, or how much of each side the bevel takes
 * @param bevel  whether they are bevelled; else rounded
 * @param corner the one corner, by its number along the outline; absent, or −1, for all
 */
@JsonTypeName("shape-corners")
public record ShapeCorners(List<String> panels, @Typed.Length double size, @Typed.Switch boolean bevel, Optional<Integer> corner)
        implements FormEdit {
    public ShapeCorners {
        corner = corner == null ? Optional.empty() : corner;
        BadInput.unless(size > 0 && size <= Seat.LARGEST, "size", "Type a length above zero.");
    }

    private int which() {
        return corner.orElse(-1);
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Holder> shaped = before.free(panels).stream().flatMap(e -> e.holder().stream()).toList();
        BadInput.unless(shaped.stream().anyMatch(p -> cut(p).made() > 0), "size", shaped.size() == 1 ? "This form has no corner there."
                : "These forms have no corners.");
        return before.holding(shaped.stream().map(Holder::id).toList(), panel -> {
            if (panel.outline().equals(Rectangle.SHARP) && !bevel && which() < 0) {
                double radius = Math.min(size, Math.min(panel.seat().width(), panel.seat().height()) / 2);
                return Refit.reformed(before, panel.withOutline(new Rectangle(radius, radius, radius, radius)));
            }
            CornerCuts.Cut cut = cut(panel);
            return cut.made() == 0 ? panel : Refit.shaped(before, panel, cut.path());
        });
    }

    private CornerCuts.Cut cut(Holder panel) {
        return CornerCuts.of(panel.ownPath(), size, !bevel, which());
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        int smaller = before.holders(panels).stream().mapToInt(panel -> cut(panel).smaller()).sum();
        return smaller == 0 ? Optional.empty() : Optional.of(Remark.of(smaller == 1 ? "One corner had room for less than that."
                : smaller + " corners had room for less than that."));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(bevel ? "Bevel corners" : "Round corners", before, panels);
    }
}
