package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.CurveFit;
import plainlantern.geometry.FillRule;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.outline.PathData;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Adds an empty panel of a form drawn on the sheet, in front of all others: point by point, or by hand. It is closed; where it crosses
 * itself, all that it goes around is inside.
 *
 * @param d         path data of absolute commands, mm on the sheet; empty where it is drawn by hand
 * @param hand      the places of a stroke by hand, x and y in turn, mm on the sheet
 * @param tolerance how far the curves may be from that stroke, mm
 */
@JsonTypeName("add-drawn")
public record AddDrawn(String d, List<Double> hand, @Typed.OrZero double tolerance) implements FormEdit {
    private static final int MOST = 20_000;
    private static final double LEAST = 0.05;

    public AddDrawn {
        d = d == null ? "" : d;
        hand = hand == null ? List.of() : List.copyOf(hand);
        BadInput.unless(hand.size() <= 2 * MOST && hand.size() % 2 == 0 && d.length() <= 100 * MOST, "d",
                "That is drawn with too many points.");
        BadInput.unless(tolerance >= 0 && tolerance <= 1000, "tolerance", "That is no tolerance.");
        for (double at : hand) Seat.near("hand", at);
    }

    @Override
    public Sheet apply(Sheet before) {
        Path drawn = hand.isEmpty() ? PathData.read(d, FillRule.NON_ZERO) : byHand();
        BadInput.unless(drawn.segments().size() <= MOST, "d", "That is drawn with too many points.");
        Path form = Algebra.evenOdd(Drawn.sound(drawn, "d"));
        BadInput.unless(!form.empty() && Polygons.area(form) >= LEAST, "d", "This drawing encloses nothing. Draw around an area.");
        int number = before.lastId() + 1;
        Seat seat = Seat.upright(form.bounds().centre(), form.bounds().width(), form.bounds().height());
        return before.adding(Panel.empty("p" + number, "Panel " + number, Piece.outline(form), seat));
    }

    private Path byHand() {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < hand.size(); i += 2) {
            Point at = new Point(hand.get(i), hand.get(i + 1));
            if (points.isEmpty() || points.get(points.size() - 1).distance(at) > 1e-6) points.add(at);
        }
        BadInput.unless(points.size() >= 3, "hand", "Hold the button and draw around an area.");
        return Path.closed(CurveFit.stroke(points, Math.max(0.01, tolerance)), FillRule.NON_ZERO);
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return hand.isEmpty() ? "Draw a form" : "Draw by hand";
    }
}
