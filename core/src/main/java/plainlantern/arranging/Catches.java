package plainlantern.arranging;

import java.util.ArrayList;
import java.util.List;
import plainlantern.geometry.Nodes;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Guides.Kind;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * What catches a point that is drawn: points and sides of forms, exactly where they are on the sheet.
 *
 * @param points corners and other points of forms, middles of straight sides and of forms, corners and middles of the sheet
 * @param sides  each as the eight numbers of a cubic curve, or the four of a straight side, mm
 */
public record Catches(List<Point> points, List<List<Double>> sides) {
    /** Of a form of more points none is a place that anyone looks for. */
    private static final int MANY = 200;
    private static final int MOST = 4000;

    public static Catches of(Sheet sheet) {
        List<Point> points = new ArrayList<>();
        List<List<Double>> sides = new ArrayList<>();
        for (double x : new double[] {0, 0.5, 1}) for (double y : new double[] {0, 0.5, 1})
            if (x != 0.5 || y != 0.5) points.add(new Point(x * sheet.width(), y * sheet.height()));
        if (!sheet.guides().snaps().contains(Kind.PANELS)) return new Catches(points, sides);
        for (Element element : sheet.elements()) {
            if (element.hidden() || sides.size() > MOST) continue;
            points.add(element.seat().centre());
            element.holder().ifPresent(holder -> form(holder, points, sides));
        }
        return new Catches(points, sides);
    }

    private static void form(Holder holder, List<Point> points, List<List<Double>> sides) {
        Nodes nodes = Nodes.of(holder.pathOnSheet());
        if (nodes.count() > MANY) return;
        for (List<Nodes.Node> contour : nodes.contours()) {
            for (int i = 0; i < contour.size(); i++) {
                Nodes.Node from = contour.get(i);
                Nodes.Node to = contour.get((i + 1) % contour.size());
                points.add(from.at());
                boolean straight = !from.hasOut() && !to.hasIn();
                if (straight) points.add(from.at().plus(to.at()).times(0.5));
                sides.add(straight ? numbers(from.at(), to.at()) : numbers(from.at(), from.out(), to.in(), to.at()));
            }
        }
    }

    private static List<Double> numbers(Point... points) {
        List<Double> numbers = new ArrayList<>();
        for (Point point : points) {
            numbers.add(point.x());
            numbers.add(point.y());
        }
        return numbers;
    }
}
