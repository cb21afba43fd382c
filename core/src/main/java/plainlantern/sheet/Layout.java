package plainlantern.sheet;

import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Outline;
import plainlantern.pattern.Pattern;

/**
 * A pattern with its numbers, where it was laid, and the panels it made: enough to lay it again with other numbers.
 *
 * @param area   the box it fills, in a frame turned about the box's own centre; absent means the sheet inside its margins
 * @param turn   degrees of that frame, clockwise
 * @param within the form of that box that its pieces are trimmed to; absent means the whole box
 * @param panels the panels' ids in the pattern's order; a panel that was removed leaves its id
 */
public record Layout(Pattern pattern, Optional<Box> area, double turn, Optional<Outline> within, List<String> panels) {
    public Layout {
        panels = List.copyOf(panels);
        area = area == null ? Optional.empty() : area;
        within = within == null ? Optional.empty() : within;
        BadInput.unless(Double.isFinite(turn), "turn", "This has to be a number of degrees.");
        area.map(box -> box.union(new Box(0, 0, 0, 0))).ifPresent(reach -> BadInput.unless(Math.max(reach.width(), reach.height())
                <= 10 * Seat.LARGEST, "pattern", "That area is too far away from the sheet."));
        for (String panel : panels) if (!panel.isEmpty()) Ids.checked(panel);
    }

    /** The map from the frame in which the pattern is laid, about the middle of {@code box}, to the sheet. */
    public static Affine frame(Box box, double turn) {
        Point middle = box.centre();
        return Affine.move(middle).after(Affine.turn(turn)).after(Affine.move(middle.times(-1)));
    }
}
