package plainlantern.pattern;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import plainlantern.asking.Asked;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.geometry.Convex;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/**
 * The Voronoi cells of random sites in the area, a gap between neighbours.
 *
 * @param evenness how many times each site moves to the middle of its cell first (Lloyd 1982): 0 gives wild shards, 10 calm ones
 */
@JsonTypeName("shards")
public record Shards(@Typed.Whole @Asked(value = "Shards", first = "12", least = 2, most = 300) int count,
                     @Typed.Length @Asked(value = "Gap", first = "0.015") double gap,
                     @Typed.Whole @Asked(value = "Evenness, 0 to 10", first = "2", most = 10) int evenness,
                     @Typed.Whole @Asked(value = "Variant", first = "1", most = 999999) int seed) implements Pattern {
    public Shards {
        Questions.check(Shards.class, count, gap, evenness, seed);
    }

    @Override
    public List<Piece> pieces(Box area, List<Double> aspects) {
        List<Piece> pieces = new ArrayList<>();
        for (List<Point> cell : cells(area, sites(area), gap)) {
            Path form = cell.size() < 3 ? null : Path.polygon(cell);
            Pattern.room(form != null && form.bounds().shorter() >= THINNEST, "gap", count + " shards",
                    Math.min(area.width(), area.height()) / Math.sqrt(count) / 3);
            pieces.add(Piece.of(form));
        }
        return pieces;
    }

    /** Where the cells have their sites. */
    public List<Point> sites(Box area) {
        Random chance = new Random(seed);
        List<Point> sites = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            sites.add(new Point(area.x() + area.width() * chance.nextDouble(), area.y() + area.height() * chance.nextDouble()));
        }
        for (int round = 0; round < evenness; round++)
            sites = new ArrayList<>(cells(area, sites, 0).stream().map(Convex::centroid).toList());
        return sites;
    }

    /** Each site's part of the area: what is nearer to it than to any other, less half the gap along what it shares with another. */
    private static List<List<Point>> cells(Box area, List<Point> sites, double gap) {
        List<List<Point>> cells = new ArrayList<>();
        for (Point site : sites) {
            List<Point> cell = Convex.of(area);
            // Nearest first: beyond twice the distance of the cell's farthest corner no site can take anything from it.
            for (Other other : others(site, sites)) {
                double farthest = cell.stream().mapToDouble(site::distance).max().orElse(0);
                if (other.apart() - gap > 2 * farthest) break;
                Point normal = other.site().minus(site).times(1 / other.apart());
                cell = Convex.clipped(cell, normal, site.plus(other.site()).times(0.5).dot(normal) - gap / 2);
            }
            cells.add(cell);
        }
        return cells;
    }

    private record Other(Point site, double apart) {}

    private static List<Other> others(Point site, List<Point> sites) {
        List<Other> others = new ArrayList<>();
        for (Point other : sites) if (other != site) others.add(new Other(other, site.distance(other)));
        others.sort(Comparator.comparingDouble(Other::apart));
        return others;
    }

    @Override
    public String label() {
        return "Shards";
    }
}
