package plainlantern.editing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import plainlantern.arranging.Seams;
import plainlantern.arranging.Seams.Seam;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.outline.Straight;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Role;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Rules on a sheet: where they lie, and how those along a seam follow it. */
final class Rules {
    private Rules() {}

    static Panel rule(String id, String name, Point from, Point to, Straight form, Rim line) {
        Panel empty = new Panel(id, name, false, false, Role.RULE, "", form, seat(from, to), List.of(), Finish.NONE);
        return empty.finished(empty.finish().rimmed(Optional.of(line)));
    }

    static Rim line(double width) {
        return Rim.RULE.wide(width);
    }

    static Seat seat(Point from, Point to) {
        Point way = to.minus(from);
        double length = Math.max(Seat.THINNEST, Math.hypot(way.x(), way.y()));
        return new Seat(from.plus(to).times(0.5), length, Seat.THINNEST, Affine.normalTurn(Math.toDegrees(Math.atan2(way.y(), way.x()))), false);
    }

    /** A side of each bank of a seam, by which it is found again; empty where one bank has none of the chosen panels. */
    static Optional<List<Straight.Bank>> banks(Seam seam, Set<String> chosen) {
        List<Straight.Bank> banks = seam.banks().stream().flatMap(bank -> bank.stream().filter(side -> chosen.contains(side.panel())).limit(1))
                .map(side -> new Straight.Bank(side.panel(), side.side())).toList();
        return banks.size() == 2 ? Optional.of(banks) : Optional.empty();
    }

    /**
     * The sheet after a change, its rules along seams where the seams are now. A rule that the change itself moved follows no more; one whose seam
     * is gone stays where it is.
     */
    static Sheet followed(Sheet before, Sheet after) {
        if (after.panels().stream().noneMatch(Rules::follows) || after.elements().equals(before.elements())) return after;
        List<Seam> seams = null;
        List<Element> next = new ArrayList<>();
        for (Element element : after.elements()) {
            if (!(element instanceof Panel rule) || !follows(rule)) {
                next.add(element);
                continue;
            }
            Optional<Panel> was = before.panels().stream().filter(p -> p.id().equals(rule.id())).findFirst();
            if (was.isPresent() && !was.get().seat().equals(rule.seat())) {
                next.add(rule.withOutline(Straight.FREE));
                continue;
            }
            if (seams == null) seams = Seams.of(after);
            next.add(along(rule, seams));
        }
        return next.equals(after.elements()) ? after : after.with(next);
    }

    /** Whether a rule lies along that seam already. */
    static boolean ruled(Sheet sheet, Seam seam) {
        return sheet.panels().stream().filter(Rules::follows).anyMatch(rule -> seam.sides().containsAll(sides(rule)));
    }

    private static List<Seams.Side> sides(Panel rule) {
        return ((Straight) rule.outline()).banks().stream().map(b -> new Seams.Side(b.panel(), b.side())).toList();
    }

    private static boolean follows(Panel panel) {
        return panel.outline() instanceof Straight straight && !straight.banks().isEmpty();
    }

    private static Panel along(Panel rule, List<Seam> seams) {
        Straight form = (Straight) rule.outline();
        List<Seams.Side> banks = sides(rule);
        return seams.stream().filter(s -> s.sides().containsAll(banks)).findFirst().map(seam -> {
            Panel moved = rule.withSeat(seat(seam.from(), seam.to()));
            Rim line = rule.finish().rim().orElseThrow();
            if (!form.covering() || seam.gap() <= 0) return moved;
            return moved.finished(rule.finish().rimmed(Optional.of(line.wide(seam.gap()))));
        }).orElse(rule);
    }
}
