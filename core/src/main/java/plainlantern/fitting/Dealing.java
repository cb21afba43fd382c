package plainlantern.fitting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import plainlantern.asking.Choice;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;

/**
 * Which picture goes into which panel, so that the loss over all panels is least. The loss of a picture in a panel that it just
 * covers, its focal point as near to the middle as that allows, is the share of it that is cut away, plus up to {@link #ASIDE} for
 * a focal point that ends aside, plus {@link #SOFT} for each halving of the wanted resolution.
 */
public final class Dealing {
    /** A focal point at the edge counts like so large a share of the picture cut away. */
    static final double ASIDE = 0.6;
    /** Half of the wanted pixels an inch counts like so large a share cut away. */
    static final double SOFT = 0.25;

    /** More than all losses of a deal together. */
    private static final double MUCH = 1e6;

    private Dealing() {}

    /** How often a picture may be used. */
    public enum Use implements Choice {
        /** Once; where there are fewer pictures than panels, the panels that would lose most get none. */
        ONCE,
        /** Every panel gets one, all pictures as often as each other as far as that goes, and the same ones apart where they can be. */
        EVENLY,
        /** As often as it fits best. */
        FREELY
    }

    /**
     * A picture that goes into a panel.
     *
     * @param loss as {@link Dealing} counts it
     * @param cut  the share of the picture that the panel's form cuts away, 0 to 1
     * @param ppi  effective pixels an inch
     */
    public record Dealt(String panel, String picture, double loss, double cut, double ppi) {}

    /**
     * Deals pictures to panels.
     *
     * @param ppi     the resolution that is wanted
     * @param inOrder whether the pictures must come in their order, panel after panel; each is used once then
     */
    public static List<Dealt> deal(List<? extends Holder> panels, List<Picture> pictures, double ppi, boolean inOrder, Use use) {
        if (panels.isEmpty() || pictures.isEmpty()) return List.of();
        Dealt[][] all = new Dealt[panels.size()][pictures.size()];
        for (int i = 0; i < panels.size(); i++) {
            Box box = panels.get(i).ownPath().bounds();
            double filled = Polygons.area(panels.get(i).ownPath()) / (box.width() * box.height());
            for (int j = 0; j < pictures.size(); j++) all[i][j] = dealt(panels.get(i), box, filled, pictures.get(j), ppi);
        }
        int[] chosen = inOrder ? inOrder(all) : use == Use.FREELY ? freely(all) : use == Use.ONCE || pictures.size() >= panels.size()
                ? once(all) : evenly(all);
        if (use == Use.EVENLY && !inOrder) parted(chosen, all, panels);
        List<Dealt> out = new ArrayList<>();
        for (int i = 0; i < chosen.length; i++) if (chosen[i] >= 0) out.add(all[i][chosen[i]]);
        return out;
    }

    /** @param filled the share of the box that the form fills: of a circle π/4 */
    private static Dealt dealt(Holder panel, Box box, double filled, Picture picture, double wanted) {
        double scale = Math.max(box.width() / picture.width(), box.height() / picture.height());
        double across = picture.width() * scale;
        double down = picture.height() * scale;
        double shown = box.width() * box.height() / (across * down);
        double ppi = Unit.MM_PER_INCH / scale;
        double aside = picture.focal().map(f -> aside(f, box, across, down)).orElse(0.0);
        double soft = Math.max(0, Math.log(wanted / ppi) / Math.log(2));
        return new Dealt(panel.id(), picture.id(), 1 - shown + ASIDE * aside * aside + SOFT * soft, 1 - filled * shown, ppi);
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

    /**
     * The assignment of least loss of panels and pictures, each once at most; of so many panels as there are places for pictures. With
     * fewer pictures than panels the panels that would lose most get none.
     */
    private static int[] once(Dealt[][] all) {
        int panels = all.length;
        int pictures = all[0].length;
        double[][] loss = new double[Math.min(panels, pictures)][Math.max(panels, pictures)];
        boolean turned = pictures < panels;
        for (int i = 0; i < panels; i++) for (int j = 0; j < pictures; j++) loss[turned ? j : i][turned ? i : j] = all[i][j].loss();
        int[] least = Assignment.least(loss);
        if (!turned) return least;
        int[] chosen = new int[panels];
        Arrays.fill(chosen, -1);
        for (int j = 0; j < least.length; j++) chosen[least[j]] = j;
        return chosen;
    }

    /**
     * Every panel gets a picture, and no picture is used twice more than another: all are used as often as that goes, then some once more.
     */
    private static int[] evenly(Dealt[][] all) {
        int pictures = all[0].length;
        int each = all.length / pictures;
        double[][] loss = new double[all.length][pictures * (each + 1)];
        for (int i = 0; i < all.length; i++) {
            for (int place = 0; place < loss[i].length; place++) {
                // The last round of places is for those that are used once more: only when all others are taken.
                loss[i][place] = all[i][place % pictures].loss() + (place >= each * pictures ? MUCH : 0);
            }
        }
        int[] chosen = Assignment.least(loss);
        for (int i = 0; i < chosen.length; i++) chosen[i] %= pictures;
        return chosen;
    }

    /** Swaps pictures between panels, each time where it adds least loss, as long as that leaves fewer of the same side by side. */
    private static void parted(int[] chosen, Dealt[][] all, List<? extends Holder> panels) {
        Neighbours neighbours = new Neighbours(panels.stream().map(Holder::boundsOnSheet).toList());
        List<List<Integer>> beside = new ArrayList<>();
        for (int i = 0; i < chosen.length; i++) beside.add(new ArrayList<>());
        for (int i = 0; i < chosen.length; i++) {
            for (int other : neighbours.after(i)) {
                beside.get(i).add(other);
                beside.get(other).add(i);
            }
        }
        for (int turn = 0; turn < chosen.length; turn++) {
            double least = Double.POSITIVE_INFINITY;
            int[] best = null;
            for (int i = 0; i < chosen.length; i++) {
                if (twins(chosen, beside, i) == 0) continue;
                for (int k = 0; k < chosen.length; k++) {
                    if (chosen[k] == chosen[i] || chosen[k] < 0) continue;
                    long before = twins(chosen, beside, i) + twins(chosen, beside, k);
                    swap(chosen, i, k);
                    double added = all[i][chosen[i]].loss()
                            + all[k][chosen[k]].loss() - all[i][chosen[k]].loss() - all[k][chosen[i]].loss();
                    boolean fewer = twins(chosen, beside, i) + twins(chosen, beside, k) < before;
                    swap(chosen, i, k);
                    if (!fewer || added >= least) continue;
                    least = added;
                    best = new int[] {i, k};
                }
            }
            if (best == null) return;
            swap(chosen, best[0], best[1]);
        }
    }

    private static long twins(int[] chosen, List<List<Integer>> beside, int at) {
        return chosen[at] < 0 ? 0 : beside.get(at).stream().filter(other -> chosen[other] == chosen[at]).count();
    }

    private static void swap(int[] chosen, int i, int k) {
        int was = chosen[i];
        chosen[i] = chosen[k];
        chosen[k] = was;
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
