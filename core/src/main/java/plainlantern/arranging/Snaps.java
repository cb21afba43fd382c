package plainlantern.arranging;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import plainlantern.geometry.Box;
import plainlantern.geometry.Boxes;
import plainlantern.sheet.Element;
import plainlantern.sheet.Guides.Kind;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Sheet;

/**
 * What catches panels while they are dragged: lines, and places at which gaps become equal.
 *
 * @param lines straight lines across or down the sheet
 * @param evens places where the gap to a neighbour equals another gap
 */
public record Snaps(List<Line> lines, List<Even> evens) {
    /** What part of the dragged box a line catches: its sides, its middle, or both. */
    public enum Catches { SIDES, MIDDLE, BOTH }

    /**
     * A line.
     *
     * @param axis what is measured: {@link Axis#ACROSS} for an upright line at {@code at} mm from the left
     * @param from where what it belongs to begins along the line, mm
     * @param to   where that ends
     * @param why  what it is, for people
     */
    public record Line(Axis axis, double at, double from, double to, Catches catches, String why) {}

    /**
     * A place for the start of the dragged box.
     *
     * @param start  mm along the axis
     * @param gap    the gap that then repeats, mm
     * @param from   the dragged box must meet this stretch of the other axis …
     * @param to     … up to here
     * @param gaps   where the equal gaps are then, start and end of each in turn, mm along the axis
     */
    public record Even(Axis axis, double start, double gap, double from, double to, List<Double> gaps) {}

    private static final double ROUND = 1e4;

    /** For dragging those panels; {@code moving} may be empty, then all panels catch. */
    public static Snaps of(Sheet sheet, Collection<String> moving) {
        Set<String> dragged = new HashSet<>(moving);
        List<Element> others = sheet.elements().stream().filter(p -> !dragged.contains(p.id()) && !p.hidden()).toList();
        Set<Kind> on = sheet.guides().snaps();
        List<Line> lines = new ArrayList<>(guideLines(sheet, on));
        if (on.contains(Kind.BLEED)) {
            box(lines, sheet.bounds(), "sheet");
            across(lines, sheet, sheet.width() / 2, "middle of the sheet");
            down(lines, sheet, sheet.height() / 2, "middle of the sheet");
        }
        List<Even> evens = new ArrayList<>();
        if (on.contains(Kind.PANELS)) {
            lines.addAll(panelLines(others));
            List<Element> taken = sheet.elements().stream().filter(p -> dragged.contains(p.id())).toList();
            if (!taken.isEmpty() && !others.isEmpty()) {
                List<Box> boxes = others.stream().map(Element::boundsOnSheet).toList();
                Boxes places = new Boxes(boxes);
                for (Axis axis : Axis.values()) evens.addAll(evens(boxes, places, axis, Groups.box(taken)));
            }
        }
        return new Snaps(lines, evens);
    }

    /** The lines of all kinds of guides that are in {@code kinds}, as they are drawn. */
    public static List<Line> guideLines(Sheet sheet, Set<Kind> kinds) {
        List<Line> lines = new ArrayList<>();
        Guides guides = sheet.guides();
        double w = sheet.width();
        double h = sheet.height();
        if (kinds.contains(Kind.BLEED) && sheet.bleed() > 0) box(lines, sheet.bounds().grown(sheet.bleed()), "bleed");
        if (kinds.contains(Kind.MARGINS)) sheet.area().ifPresent(area -> box(lines, area, "margin"));
        if (kinds.contains(Kind.COLUMNS)) {
            sheet.area().ifPresent(area -> {
                for (double[] span : Guides.spans(area.x(), area.width(), guides.columns(), guides.gutter()))
                    for (double at : span) across(lines, sheet, at, "column");
                for (double[] span : Guides.spans(area.y(), area.height(), guides.rows(), guides.gutter()))
                    for (double at : span) down(lines, sheet, at, "row");
            });
        }
        if (kinds.contains(Kind.THIRDS)) {
            for (int i = 1; i <= 2; i++) {
                across(lines, sheet, w * i / 3, "third");
                down(lines, sheet, h * i / 3, "third");
            }
        }
        if (kinds.contains(Kind.OWN)) {
            for (Guides.Own own : guides.own()) {
                if (own.upright()) across(lines, sheet, own.at(), "guide");
                else down(lines, sheet, own.at(), "guide");
            }
        }
        return lines;
    }

    private static void across(List<Line> lines, Sheet sheet, double at, String why) {
        lines.add(new Line(Axis.ACROSS, at, 0, sheet.height(), Catches.BOTH, why));
    }

    private static void down(List<Line> lines, Sheet sheet, double at, String why) {
        lines.add(new Line(Axis.DOWN, at, 0, sheet.width(), Catches.BOTH, why));
    }

    private static void box(List<Line> lines, Box box, String why) {
        for (Axis axis : Axis.values()) {
            Axis other = axis.other();
            for (double at : new double[] {axis.start(box), axis.end(box)}) {
                lines.add(new Line(axis, at, other.start(box), other.end(box), Catches.BOTH, why));
            }
        }
    }

    /** The sides and middles of panels; those of several panels at one place are one line. */
    private static List<Line> panelLines(List<Element> panels) {
        Map<List<Object>, Line> lines = new LinkedHashMap<>();
        for (Element panel : panels) {
            Box box = panel.boundsOnSheet();
            for (Axis axis : Axis.values()) {
                Axis other = axis.other();
                line(lines, new Line(axis, axis.start(box), other.start(box), other.end(box), Catches.SIDES, panel.name()));
                line(lines, new Line(axis, axis.end(box), other.start(box), other.end(box), Catches.SIDES, panel.name()));
                line(lines, new Line(axis, axis.middle(box), other.start(box), other.end(box), Catches.MIDDLE,
                        "middle of " + panel.name()));
            }
        }
        return List.copyOf(lines.values());
    }

    private static void line(Map<List<Object>, Line> lines, Line line) {
        lines.merge(List.of(line.axis(), line.catches(), rounded(line.at())), line, (a, b) ->
                new Line(a.axis(), a.at(), Math.min(a.from(), b.from()), Math.max(a.to(), b.to()), a.catches(), a.why()));
    }

    private static List<Even> evens(List<Box> boxes, Boxes places, Axis axis, Box moving) {
        double size = axis.size(moving);
        Axis other = axis.other();
        List<Even> evens = new ArrayList<>();
        Box all = Box.union(boxes);
        for (Box a : boxes) {
            Box b = next(boxes, places, all, a, axis, other);
            if (b == null) continue;
            double gap = axis.start(b) - axis.end(a);
            double from = Math.max(other.start(a), other.start(b));
            double to = Math.min(other.end(a), other.end(b));
            evens.add(new Even(axis, axis.end(b) + gap, gap, from, to,
                    List.of(axis.end(a), axis.start(b), axis.end(b), axis.end(b) + gap)));
            evens.add(new Even(axis, axis.start(a) - gap - size, gap, from, to,
                    List.of(axis.start(a) - gap, axis.start(a), axis.end(a), axis.start(b))));
            double half = (gap - size) / 2;
            if (half > 0) evens.add(new Even(axis, axis.end(a) + half, half, from, to,
                    List.of(axis.end(a), axis.end(a) + half, axis.start(b) - half, axis.start(b))));
        }
        return together(evens, other.size(moving));
    }

    /** Those at one place as one, where what is dragged is too large to lie between their stretches. */
    private static List<Even> together(List<Even> evens, double size) {
        Map<List<Object>, List<Even>> alike = new LinkedHashMap<>();
        for (Even even : evens) alike.computeIfAbsent(List.of(rounded(even.start()), even.gaps().stream().map(Snaps::rounded).toList()),
                key -> new ArrayList<>()).add(even);
        List<Even> out = new ArrayList<>();
        for (List<Even> same : alike.values()) {
            same.sort(Comparator.comparingDouble(Even::from));
            Even last = same.get(0);
            for (Even next : same) {
                if (next.from() - last.to() > size) {
                    out.add(last);
                    last = next;
                } else {
                    last = new Even(last.axis(), last.start(), last.gap(), last.from(), Math.max(last.to(), next.to()), last.gaps());
                }
            }
            out.add(last);
        }
        return List.copyOf(out);
    }

    private static long rounded(double mm) {
        return Math.round(mm * ROUND);
    }

    /** The nearest box behind {@code a} along the axis that it looks at. */
    private static Box next(List<Box> boxes, Boxes places, Box all, Box a, Axis axis, Axis other) {
        Box nearest = null;
        Box ahead = axis == Axis.ACROSS ? Box.between(Math.min(a.right(), all.right()) - 1e-6, a.y(), all.right(), a.bottom())
                : Box.between(a.x(), Math.min(a.bottom(), all.bottom()) - 1e-6, a.right(), all.bottom());
        for (int number : places.near(ahead).toArray()) {
            Box b = boxes.get(number);
            if (axis.start(b) < axis.end(a) - 1e-6 || other.start(b) >= other.end(a) || other.start(a) >= other.end(b)) continue;
            if (nearest == null || axis.start(b) < axis.start(nearest)) nearest = b;
        }
        return nearest;
    }
}
