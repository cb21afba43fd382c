package plainlantern.fitting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import plainlantern.geometry.Choice;
import plainlantern.geometry.Box;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;

/**
 * Which picture goes into which panel, so that the loss over all panels is least. The loss of a picture in a panel that it just covers, its focal
 * point as near to the middle as that allows, is the share of it that is cut away, plus up to {@link #ASIDE} for a focal point that ends aside,
 * plus {@link #SOFT} for each halving of the wanted resolution.
 */
public final class Dealing {
    /** A focal point at the edge counts like so large a share of the picture cut away. */
    static final double ASIDE = 0.6;
    /** Half of the wanted pixels an inch counts like so large a share cut away. */
    static final double SOFT = 0.25;

    private Dealing() {}

    /** How often a picture may be used. */
    public enum Use implements Choice {
        /** Once; where there are fewer pictures than panels, the panels that would lose most get none. */
        ONCE,
        /** No more often than it takes to give every panel a picture. */
        EVENLY,
        /** As often as it fits best. */
        FREELY
    }

    /**
     * A picture that goes into a panel.
     *
     * @param loss as {@link Dealing} counts it
     * @param cut  the share of the picture that the panel's box cuts away, 0 to 1
     * @param ppi  effective pixels an inch
     */
    public record Dealt(String panel, String picture, double loss, double cut, double ppi) {}

    /**
     * Deals pictures to panels.
     *
     * @param ppi     the resolution that is wanted
     * @param inOrder whether the pictures must come in their order, panel after panel; each is used once then
     */
    public static List<Dealt> deal(List<Panel> panels, List<Picture> pictures, double ppi, boolean inOrder, Use use) {
        if (panels.isEmpty() || pictures.isEmpty()) return List.of();
        Dealt[][] all = new Dealt[panels.size()][pictures.size()];
        for (int i = 0; i < panels.size(); i++) {
            Box box = panels.get(i).ownPath().bounds();
            for (int j = 0; j < pictures.size(); j++) all[i][j] = dealt(panels.get(i), box, pictures.get(j), ppi);
        }
        int[] chosen = inOrder ? inOrder(all) : use == Use.FREELY ? freely(all) : matched(all, use == Use.ONCE ? 1 : (panels.size() + pictures.size() - 1) / pictures.size());
        List<Dealt> out = new ArrayList<>();
        for (int i = 0; i < chosen.length; i++) if (chosen[i] >= 0) out.add(all[i][chosen[i]]);
        return out;
    }

    private static Dealt dealt(Panel panel, Box box, Picture picture, double wanted) {
        double scale = Math.max(box.width() / picture.width(), box.height() / picture.height());
        double across = picture.width() * scale;
        double down = picture.height() * scale;
        double cut = 1 - box.width() * box.height() / (across * down);
        double ppi = Unit.MM_PER_INCH / scale;
        double aside = picture.focal().map(f -> aside(f, box, across, down)).orElse(0.0);
        double soft = Math.max(0, Math.log(wanted / ppi) / Math.log(2));
        return new Dealt(panel.id(), picture.id(), cut + ASIDE * aside * aside + SOFT * soft, cut, ppi);
    }

    /** How far from the middle (0) to the edge (1) the focal point ends when it is brought as near to the middle as covering allows. */
    private static double aside(Focal focal, Box box, double across, double down) {
        double x = Math.max(0, Math.abs(focal.x() - 0.5) * across - (across - box.width()) / 2) / (box.width() / 2);
        double y = Math.max(0, Math.abs(focal.y() - 0.5) * down - (down - box.height()) / 2) / (box.height() / 2);
        return Math.max(x, y);
    }

    private static int[] freely(Dealt[][] all) {
        int[] chosen = new int[all.length];
        for (int i = 0; i < all.length; i++) {
            for (int j = 1; j < all[i].length; j++) if (all[i][j].loss() < all[i][chosen[i]].loss()) chosen[i] = j;
        }
        return chosen;
    }

    /** A perfect matching of least weight (Kuhn, Munkres) of the panels and the pictures, each so often; what one side lacks is filled up with nothing. */
    private static int[] matched(Dealt[][] all, int times) {
        int pictures = all[0].length * times;
        int size = Math.max(all.length, pictures);
        var graph = new SimpleWeightedGraph<Integer, DefaultWeightedEdge>(DefaultWeightedEdge.class);
        Set<Integer> left = new HashSet<>();
        Set<Integer> right = new HashSet<>();
        for (int i = 0; i < size; i++) {
            graph.addVertex(i);
            graph.addVertex(size + i);
            left.add(i);
            right.add(size + i);
        }
        Map<Integer, Integer> chosen = new HashMap<>();
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < size; j++) {
                boolean real = i < all.length && j < pictures;
                graph.setEdgeWeight(graph.addEdge(i, size + j), real ? all[i][j % all[0].length].loss() : 0);
            }
        }
        for (DefaultWeightedEdge edge : new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, left, right).getMatching().getEdges()) {
            chosen.put(graph.getEdgeSource(edge), graph.getEdgeTarget(edge) - size);
        }
        int[] out = new int[all.length];
        for (int i = 0; i < out.length; i++) out[i] = chosen.get(i) < pictures ? chosen.get(i) % all[0].length : -1;
        return out;
    }

    /** The least loss of an assignment that rises: as many panels as there are pictures for get one. */
    private static int[] inOrder(Dealt[][] all) {
        int n = all.length;
        int m = all[0].length;
        // least[i][j]: of the first i panels and the first j pictures, with min(i, j) of them dealt.
        double[][] least = new double[n + 1][m + 1];
        for (int i = 1; i <= n; i++) {
            for (int j = 1; j <= m; j++) {
                double both = least[i - 1][j - 1] + all[i - 1][j - 1].loss();
                least[i][j] = i < j ? Math.min(both, least[i][j - 1]) : i > j ? Math.min(both, least[i - 1][j]) : both;
            }
        }
        int[] chosen = new int[n];
        Arrays.fill(chosen, -1);
        for (int i = n, j = m; i > 0 && j > 0;) {
            if (i < j && least[i][j] == least[i][j - 1]) j--;
            else if (i > j && least[i][j] == least[i - 1][j]) i--;
            else chosen[--i] = --j;
        }
        return chosen;
    }
}
