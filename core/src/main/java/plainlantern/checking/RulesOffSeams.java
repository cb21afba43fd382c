package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.arranging.Seams;
import plainlantern.geometry.Point;
import plainlantern.sheet.Rule;

/** Rules that lie close to a gap, but not in its middle. */
final class RulesOffSeams implements Check {
    @Override
    public String title() {
        return "Rules off their seam";
    }

    private static final double NEAR = 1;
    private static final double LEVEL = Math.toRadians(1);
    private static final double ON = 0.02;

    @Override
    public List<Fault> find(Checked checked) {
        List<Rule> rules = checked.elements().stream().flatMap(e -> e.rule().stream()).toList();
        List<Fault> faults = new ArrayList<>();
        if (rules.isEmpty()) return faults;
        List<Seams.Seam> seams = Seams.of(checked.sheet());
        for (Rule rule : rules) {
            for (Seams.Seam seam : seams) {
                Point way = seam.to().minus(seam.from());
                double turn = Math.toRadians(rule.seat().turn()) - Math.atan2(way.y(), way.x());
                double length = Math.hypot(way.x(), way.y());
                Point square = new Point(-way.y() / length, way.x() / length);
                double off = rule.seat().centre().minus(seam.from()).dot(square);
                double along = rule.seat().centre().minus(seam.from()).dot(way) / length;
                if (Math.abs(Math.sin(turn)) > Math.sin(LEVEL) || Math.abs(off) > NEAR + seam.gap() / 2 || along < 0 || along > length
                        || Math.abs(off) <= ON) continue;
                String says = rule.name() + " is " + checked.length(Math.abs(off)) + " off the middle of its gap.";
                faults.add(checked.fault(Weight.WARNING, rule, says, Checked.moved(rule, -off * square.x(), -off * square.y())));
                break;
            }
        }
        return faults;
    }
}
