package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * A plain line, from the middle of one side of its seat to the other; its rim is what is seen.
 *
 * @param banks    facing sides of panels whose gap it follows, one of each bank; none where it lies free
 * @param covering whether it is as wide as the gap
 */
@JsonTypeName("rule")
public record Rule(Basics basics, List<Bank> banks, @Typed.Switch boolean covering) implements Element {
    /** One side of a panel, by the index of its first corner among the panel's sides. */
    public record Bank(String panel, int side) {
        public Bank {
            Ids.checked(panel);
        }
    }

    public Rule {
        banks = banks == null ? List.of() : List.copyOf(banks);
        basics = basics.at(basics.seat().sized(basics.seat().width(), Seat.THINNEST));
        if (basics.finish().rim().isEmpty()) basics = basics.finished(basics.finish().rimmed(Optional.of(Rim.RULE)));
    }

    /** A free one from one place on the sheet to another. */
    public static Rule between(String id, String name, Point from, Point to, Rim line) {
        return new Rule(Basics.of(id, name, seat(from, to)).finished(Finish.NONE.rimmed(Optional.of(line))), List.of(), false);
    }

    /** Of a line between two places on the sheet. */
    public static Seat seat(Point from, Point to) {
        Point way = to.minus(from);
        double length = Math.max(Seat.THINNEST, Math.hypot(way.x(), way.y()));
        double turn = Affine.normalTurn(Math.toDegrees(Math.atan2(way.y(), way.x())));
        return new Seat(from.plus(to).times(0.5), length, Seat.THINNEST, turn, false);
    }

    /** The same along the gap between those sides. */
    public Rule following(List<Bank> newBanks, boolean newCovering) {
        return new Rule(basics, newBanks, newCovering);
    }

    /** The same lying free. */
    public Rule free() {
        return new Rule(basics, List.of(), false);
    }

    /** Whether it follows a gap. */
    public boolean follows() {
        return !banks.isEmpty();
    }

    @Override
    public String kind() {
        return "rule";
    }

    @Override
    public Optional<Rule> rule() {
        return Optional.of(this);
    }

    @Override
    public Rule with(Basics newBasics) {
        return new Rule(newBasics, banks, covering);
    }

    /** One that followed a seam lies free. */
    @Override
    public Rule copied(String newId, String newName) {
        return new Rule(new Basics(newId, newName, false, false, "", seat(), finish()), List.of(), false);
    }

    @Override
    public Path ownPath() {
        double half = seat().width() / 2;
        return new Path(List.of(new Segment.Move(new Point(-half, 0)), new Segment.Line(new Point(half, 0))));
    }

    /** Its ends go along; its thickness is its rim's. */
    @Override
    public Seat stretched(Point fixed, double fx, double fy) {
        Point[] ends = {new Point(-seat().width() / 2, 0), new Point(seat().width() / 2, 0)};
        for (int i = 0; i < ends.length; i++) {
            Point from = seat().toSheet().apply(ends[i]).minus(fixed);
            ends[i] = fixed.plus(new Point(from.x() * fx, from.y() * fy));
        }
        return seat(ends[0], ends[1]);
    }

    /** Of the line itself; it has no height. */
    @Override
    public Box boundsOnSheet() {
        return pathOnSheet().bounds();
    }
}
