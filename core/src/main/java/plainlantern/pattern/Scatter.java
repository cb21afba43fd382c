package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Convex;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Rectangle;

/**
 * Overlapping rectangles as if thrown: spread well, of chance sizes and turns, and just so large that together they cover the wanted
 * share of the area.
 *
 * @param smallest   the smallest size / the largest
 * @param proportion longer side / shorter side
 * @param turn       the largest turn either way, degrees
 * @param coverage   the share of the area to be covered
 * @param inside     whether all pieces stay within the area
 */
@JsonTypeName("scatter")
public record Scatter(@Typed.Whole @Asked(value = "Panels", first = "14", least = 2, most = 300) int count,
                      @Typed.Share @Asked(value = "Smallest size", first = "0.6", least = 0.1, most = 1) double smallest,
                      @Asked(value = "Proportions", first = "1.4", least = 1, most = 5) @Typed.Number double proportion,
                      @Typed.Turn @Asked(value = "Turn either way", first = "15", most = 180) double turn,
                      @Typed.Share @Asked(value = "Area covered", first = "0.7", least = 0.01, most = 0.99) double coverage,
                      @Typed.Switch @Asked(value = "Keep inside the area", first = "true") boolean inside,
                      @Typed.Whole @Asked(value = "Variant", first = "1", most = 999999) int seed) implements Pattern {
    /** So many spots are tried for each piece; the one farthest from the others is taken (best candidate, Mitchell 1991). */
    private static final int CANDIDATES = 8;
    /** The area is looked at in so many rows and columns of spots while the size is sought. */
    private static final int SPOTS = 100;
    private static final int STEPS = 30;

    public Scatter {
        Questions.check(Scatter.class, count, smallest, proportion, turn, coverage, inside, seed);
    }

    /** A piece before its size is known: its spot in the unit square, its size against the largest, its turn, whether it stands upright. */
    private record Thrown(double u, double v, double size, double turn, boolean upright) {}

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        List<Thrown> thrown = thrown(area.width() / area.height());
        double low = THINNEST * proportion / smallest;
        double high = inside ? largestInside(area, thrown) : Math.hypot(area.width(), area.height()) * proportion;
        for (int i = 0; i < STEPS && seen(area, placed(area, thrown, high)) > coverage; i++) {
            double middle = (low + high) / 2;
            if (seen(area, placed(area, thrown, middle)) < coverage) low = middle;
            else high = middle;
        }
        return placed(area, thrown, high);
    }

    private List<Thrown> thrown(double aspect) {
        Random chance = new Random(seed);
        List<Thrown> all = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            Point best = null;
            double farthest = -1;
            for (int k = 0; k < CANDIDATES; k++) {
                Point spot = new Point(chance.nextDouble(), chance.nextDouble());
                double nearest = Double.MAX_VALUE;
                for (Thrown other : all) nearest = Math.min(nearest, Math.hypot((spot.x() - other.u()) * aspect, spot.y() - other.v()));
                if (nearest > farthest) {
                    farthest = nearest;
                    best = spot;
                }
            }
            all.add(new Thrown(best.x(), best.y(), smallest + (1 - smallest) * chance.nextDouble(), (chance.nextDouble() * 2 - 1) * turn,
                    chance.nextBoolean()));
        }
        return all;
    }

    /** The pieces with the longer side of the largest being {@code longest} mm. */
    private List<Piece> placed(Box area, List<Thrown> thrown, double longest) {
        List<Piece> pieces = new ArrayList<>();
        for (Thrown t : thrown) {
            double longer = longest * t.size();
            double width = t.upright() ? longer / proportion : longer;
            double height = t.upright() ? longer : longer / proportion;
            Point reach = inside ? reach(width, height, t.turn()) : Point.ORIGIN;
            Point centre = new Point(area.x() + reach.x() + t.u() * (area.width() - 2 * reach.x()), area.y() + reach.y()
                    + t.v() * (area.height() - 2 * reach.y()));
            pieces.add(new Piece(Rectangle.SHARP, centre, width, height, t.turn(), -1));
        }
        return pieces;
    }

    /** Half the upright extents of a turned rectangle. */
    private static Point reach(double width, double height, double turn) {
        double cos = Math.abs(Math.cos(Math.toRadians(turn)));
        double sin = Math.abs(Math.sin(Math.toRadians(turn)));
        return new Point((width * cos + height * sin) / 2, (width * sin + height * cos) / 2);
    }

    private double largestInside(Box area, List<Thrown> thrown) {
        double most = Double.MAX_VALUE;
        for (Thrown t : thrown) {
            Point reach = reach(t.upright() ? t.size() / proportion : t.size(), t.upright() ? t.size() : t.size() / proportion, t.turn());
            most = Math.min(most, Math.min(area.width() / 2 / reach.x(), area.height() / 2 / reach.y()));
        }
        return most;
    }

    /** The share of the area's spots that some piece covers. */
    private static double seen(Box area, List<Piece> pieces) {
        boolean[] seen = new boolean[SPOTS * SPOTS];
        int count = 0;
        for (Piece piece : pieces) {
            Point reach = reach(piece.width(), piece.height(), piece.turn());
            double cos = Math.cos(Math.toRadians(piece.turn()));
            double sin = Math.sin(Math.toRadians(piece.turn()));
            int left = spot(piece.centre().x() - reach.x() - area.x(), area.width());
            int right = spot(piece.centre().x() + reach.x() - area.x(), area.width());
            int top = spot(piece.centre().y() - reach.y() - area.y(), area.height());
            int bottom = spot(piece.centre().y() + reach.y() - area.y(), area.height());
            for (int row = Math.max(0, top); row <= Math.min(SPOTS - 1, bottom); row++) {
                for (int column = Math.max(0, left); column <= Math.min(SPOTS - 1, right); column++) {
                    if (seen[row * SPOTS + column]) continue;
                    double x = area.x() + (column + 0.5) / SPOTS * area.width() - piece.centre().x();
                    double y = area.y() + (row + 0.5) / SPOTS * area.height() - piece.centre().y();
                    if (Math.abs(x * cos + y * sin) > piece.width() / 2 || Math.abs(y * cos - x * sin) > piece.height() / 2) continue;
                    seen[row * SPOTS + column] = true;
                    count++;
                }
            }
        }
        return (double) count / seen.length;
    }

    private static int spot(double from, double length) {
        return (int) Math.floor(from / length * SPOTS);
    }

    /** States the share that is really covered, by areas of polygons. */
    @Override
    public String says(Box area, List<Piece> pieces) {
        double share = Polygons.unionShare(pieces.stream().map(Piece::path).toList(), Path.polygon(Convex.of(area)));
        String reached = String.format(Locale.ROOT, "%d panels cover %.1f %% of the area", pieces.size(), share * 100);
        return share < coverage - 0.02 ? reached + "; more cannot be reached inside it with these numbers." : reached + ".";
    }

    @Override
    public String label() {
        return "Scatter";
    }
}
