package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Gives a panel, or the common upright box of several, another size. A single panel is sized along its own axes.
 *
 * @param width   mm, above zero
 * @param height  mm, above zero
 * @param anchorX what stays put across: −1 the left side, 0 the middle, 1 the right side
 * @param anchorY what stays put down: −1 the top, 0 the middle, 1 the bottom
 * @param still   whether pictures stay where they are on the sheet instead of fitting themselves to the new size
 */
@JsonTypeName("resize-panels")
public record ResizePanels(List<String> panels, double width, double height, int anchorX, int anchorY,
                           @Typed.Switch boolean still) implements PlacingEdit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(width > 0 && height > 0, "width", "A panel needs a size above zero.");
        List<Element> chosen = before.free(panels);
        if (chosen.size() == 1) {
            return before.moving(panels, p -> fitted(before, p, alone(p.seat())));
        }
        Box from = Box.union(chosen.stream().map(Element::boundsOnSheet).toList());
        double fx = width / from.width();
        double fy = height / from.height();
        Point fixed = new Point(from.centre().x() + anchorX * from.width() / 2, from.centre().y() + anchorY * from.height() / 2);
        return before.moving(panels, p -> fitted(before, p, p.stretched(fixed, fx, fy)));
    }

    private Element fitted(Sheet sheet, Element element, Seat seat) {
        return element.seated(seat, (was, is) -> still ? Refit.inPlace(sheet, was, is) : Refit.resized(sheet, was, is));
    }

    private Seat alone(Seat seat) {
        Point shift = new Point(anchorX * (seat.width() - width) / 2, anchorY * (seat.height() - height) / 2);
        Affine own = Affine.turn(seat.turn());
        return seat.sized(width, height).at(seat.centre().plus(own.apply(shift)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Resize", before, panels);
    }
}
