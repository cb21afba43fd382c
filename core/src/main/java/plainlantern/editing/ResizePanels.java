package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Panel;
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
                           @Typed.Switch boolean still) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        BadInput.unless(width > 0 && height > 0, "width", "A panel needs a size above zero.");
        List<Panel> chosen = before.free(panels);
        if (chosen.size() == 1) {
            return before.moving(panels, p -> fitted(before, p, p.withSeat(alone(p.seat()))));
        }
        Box from = Box.union(chosen.stream().map(Panel::boundsOnSheet).toList());
        double fx = width / from.width();
        double fy = height / from.height();
        Point fixed = new Point(from.centre().x() + anchorX * from.width() / 2, from.centre().y() + anchorY * from.height() / 2);
        return before.moving(panels, p -> fitted(before, p, p.withSeat(together(p.seat(), fixed, fx, fy))));
    }

    private Panel fitted(Sheet sheet, Panel was, Panel is) {
        return still ? Refit.inPlace(sheet, was, is) : Refit.resized(sheet, was, is);
    }

    private Seat alone(Seat seat) {
        Point shift = new Point(anchorX * (seat.width() - width) / 2, anchorY * (seat.height() - height) / 2);
        Affine own = Affine.turn(seat.turn());
        return seat.sized(width, height).at(seat.centre().plus(own.apply(shift)));
    }

    /** A turned panel cannot take both factors without a skew; its sides take what falls along them. */
    static Seat together(Seat seat, Point fixed, double fx, double fy) {
        Point from = seat.centre().minus(fixed);
        double cos = Math.cos(Math.toRadians(seat.turn()));
        double sin = Math.sin(Math.toRadians(seat.turn()));
        return seat.sized(seat.width() * Math.hypot(fx * cos, fy * sin), seat.height() * Math.hypot(fx * sin, fy * cos))
                .at(fixed.plus(new Point(from.x() * fx, from.y() * fy)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Resize", before, panels);
    }
}
