package plainlantern.arranging;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import plainlantern.arranging.Seams.Seam;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Element;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Sheet;

/** Rules on a sheet: where they lie, and how those along a seam follow it. */
public final class SeamRules {
    private SeamRules() {}

    /** A side of each bank of a seam, by which it is found again; empty where one bank has none of the chosen panels. */
    public static Optional<List<Rule.Bank>> banks(Seam seam, Set<String> chosen) {
        List<Rule.Bank> banks = seam.banks().stream().flatMap(bank -> bank.stream().filter(side -> chosen.contains(side.panel())).limit(1))
                .map(side -> new Rule.Bank(side.panel(), side.side())).toList();
        return banks.size() == 2 ? Optional.of(banks) : Optional.empty();
    }

    /**
     * The sheet after a change, its rules along seams where the seams are now. A rule that the change moved without its panels
     * follows no more; one whose seam is gone stays where it is.
     */
    public static Sheet followed(Sheet before, Sheet after) {
        if (after.elements().stream().noneMatch(SeamRules::follows) || after.elements().equals(before.elements())) return after;
        List<Seam> seams = Seams.of(after);
        List<Element> next = after.elements().stream().map(element -> element.rule().filter(Rule::follows).<Element>map(rule -> {
            boolean alone = moved(before, rule) && rule.banks().stream().flatMap(b -> after.find(b.panel()).stream())
                    .noneMatch(e -> moved(before, e));
            return alone ? rule.free() : along(rule, seams);
        }).orElse(element)).toList();
        return next.equals(after.elements()) ? after : after.with(next);
    }

    private static boolean moved(Sheet before, Element element) {
        return before.find(element.id()).map(was -> !was.seat().equals(element.seat())).orElse(false);
    }

    /** Whether a rule lies along that seam already. */
    public static boolean ruled(Sheet sheet, Seam seam) {
        return sheet.elements().stream().flatMap(e -> e.rule().stream()).filter(Rule::follows)
                .anyMatch(rule -> seam.sides().containsAll(sides(rule)));
    }

    private static List<Seams.Side> sides(Rule rule) {
        return rule.banks().stream().map(b -> new Seams.Side(b.panel(), b.side())).toList();
    }

    private static boolean follows(Element element) {
        return element.rule().map(Rule::follows).orElse(false);
    }

    private static Rule along(Rule rule, List<Seam> seams) {
        List<Seams.Side> banks = sides(rule);
        return seams.stream().filter(s -> s.sides().containsAll(banks)).findFirst().map(seam -> {
            Basics moved = rule.basics().at(Rule.seat(seam.from(), seam.to()));
            Rim line = rule.finish().rim().orElseThrow();
            if (!rule.covering() || seam.gap() <= 0) return rule.with(moved);
            return rule.with(moved.finished(rule.finish().rimmed(Optional.of(line.wide(seam.gap())))));
        }).orElse(rule);
    }
}
