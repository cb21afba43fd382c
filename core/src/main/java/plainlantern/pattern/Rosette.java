package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path.Segment;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.outline.Ellipse;

/**
 * Panels around a centre, clockwise from the top, as large as fits; with an inner panel, that comes last.
 *
 * @param gap    mm between neighbours, and between them and the inner panel
 * @param middle whether there is an inner panel
 * @param wedges whether the panels are wedges of one ring instead of circles
 * @param hole   wedges only: the ring's inner radius / its outer radius
 */
@JsonTypeName("rosette")
public record Rosette(@Typed.Whole @Asked(value = "Panels around", first = "8", least = 3, most = 60) int count,
                      @Typed.Length @Asked(value = "Gap", first = "0.02") double gap,
                      @Typed.Switch @Asked(value = "Inner panel", first = "true") boolean middle,
                      @Typed.Switch @Asked(value = "Wedges of a ring", first = "false") boolean wedges,
                      @Typed.Share @Asked(value = "Inner radius", first = "0.45", least = 0.1, most = 0.9) double hole) implements Pattern {
    /** Arcs of at most so many degrees become one cubic each: at most 1e-5 of the radius off. */
    private static final double ARC = 45;

    public Rosette {
        Questions.check(Rosette.class, count, gap, middle, wedges, hole);
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        double radius = Math.min(area.width(), area.height()) / 2;
        double sin = Math.sin(Math.PI / count);
        return wedges ? ring(area.centre(), radius, sin) : circles(area.centre(), radius, sin);
    }

    /** Circles of radius r around a circle of radius R: R + r is the whole, and 2·R·sin(π/n) = 2·r + gap. */
    private List<Piece> circles(Point centre, double radius, double sin) {
        double r = (2 * radius * sin - gap) / (2 * (1 + sin));
        Pattern.room(2 * r >= THINNEST, "gap", count + " panels", 2 * radius * sin);
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            pieces.add(round(centre.plus(new Point(0, r - radius).turned(360.0 * i / count)), r));
        }
        addMiddle(pieces, centre, radius - 2 * r - gap);
        return pieces;
    }

    private List<Piece> ring(Point centre, double outer, double sin) {
        double inner = outer * hole;
        Pattern.room(gap / 2 < inner * sin - THINNEST / 2, "gap", count + " wedges", 2 * inner * sin);
        List<Piece> pieces = new ArrayList<>();
        for (int i = 0; i < count; i++) pieces.add(Piece.of(wedge(centre, inner, outer, 360.0 * i / count)));
        addMiddle(pieces, centre, inner - gap);
        return pieces;
    }

    /** A wedge whose straight sides keep half the gap from the ray between it and its neighbour: asin(gap/2ρ) at radius ρ. */
    private Path wedge(Point centre, double inner, double outer, double heading) {
        double half = 180.0 / count;
        double out = half - Math.toDegrees(Math.asin(gap / 2 / outer));
        double in = half - Math.toDegrees(Math.asin(gap / 2 / inner));
        List<Segment> steps = new ArrayList<>();
        steps.add(new Segment.Move(at(centre, outer, heading - out)));
        arc(steps, centre, outer, heading - out, heading + out);
        steps.add(new Segment.Line(at(centre, inner, heading + in)));
        arc(steps, centre, inner, heading + in, heading - in);
        steps.add(new Segment.Close());
        return new Path(steps);
    }

    private static void arc(List<Segment> steps, Point centre, double radius, double from, double to) {
        int parts = Math.max(1, (int) Math.ceil(Math.abs(to - from) / ARC));
        double step = (to - from) / parts;
        double control = 4.0 / 3 * Math.tan(Math.toRadians(step) / 4) * radius;
        for (int i = 0; i < parts; i++) {
            double a = from + i * step;
            Point start = at(centre, radius, a);
            Point end = at(centre, radius, a + step);
            steps.add(new Segment.Cubic(start.plus(new Point(control, 0).turned(a)), end.minus(new Point(control, 0).turned(a + step)),
                    end));
        }
    }

    private static Point at(Point centre, double radius, double heading) {
        return centre.plus(new Point(0, -radius).turned(heading));
    }

    private void addMiddle(List<Piece> pieces, Point centre, double radius) {
        if (middle && 2 * radius >= THINNEST) pieces.add(round(centre, radius));
    }

    private static Piece round(Point centre, double radius) {
        return Piece.of(new Ellipse(), Box.around(centre, 2 * radius, 2 * radius));
    }

    @Override
    public String label() {
        return "Rosette";
    }
}
