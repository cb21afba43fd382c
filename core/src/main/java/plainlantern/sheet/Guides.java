package plainlantern.sheet;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * Lines that help to place; they are never delivered.
 *
 * @param columns columns between the margins, 0 for none
 * @param rows    rows between the margins, 0 for none
 * @param gutter  mm between neighbouring columns and rows; 0 makes one line of each pair
 * @param own     lines set by hand
 * @param shown   the kinds that are drawn
 * @param snaps   the kinds that catch what is dragged
 */
public record Guides(@Typed.Whole @Asked(value = "Columns", most = 100) int columns,
        @Typed.Whole @Asked(value = "Rows", most = 100) int rows,
                     @Typed.Length @Asked(value = "Gutter", most = 500) double gutter, List<Own> own, Set<Kind> shown, Set<Kind> snaps) {
    private static final int MOST = 200;

    /** The kinds of lines that can be shown and that can catch. */
    public enum Kind {
        MARGINS("Margins"), COLUMNS("Columns and rows"), OWN("Own guides"), THIRDS("Thirds"), BLEED("Bleed and sheet"),
                PANELS("Panels and gaps");

        private final String label;

        Kind(String label) {
            this.label = label;
        }

        public String label() {
            return label;
        }
    }

    /** A line across the whole sheet: {@code upright} at {@code at} mm from the left, or level at {@code at} mm from the top. */
    public record Own(boolean upright, double at) {
        public Own {
            Seat.near("own", at);
        }
    }

    /** No columns, no own guides; margins are shown, and everything but thirds catches. */
    public static final Guides FIRST = new Guides(0, 0, 0, List.of(), EnumSet.of(Kind.MARGINS, Kind.COLUMNS, Kind.OWN, Kind.BLEED),
            EnumSet.of(Kind.MARGINS, Kind.COLUMNS, Kind.OWN, Kind.BLEED, Kind.PANELS));

    public Guides {
        Questions.check(Guides.class, columns, rows, gutter, own, shown, snaps);
        BadInput.unless(own.size() <= MOST, "own", "A sheet has at most " + MOST + " guides of its own.");
        own = List.copyOf(own);
        shown = kinds(shown);
        snaps = kinds(snaps);
    }

    private static Set<Kind> kinds(Set<Kind> some) {
        EnumSet<Kind> all = EnumSet.noneOf(Kind.class);
        all.addAll(some);
        return Collections.unmodifiableSet(all);
    }

    /** The same showing those kinds of lines, and caught by those. */
    public Guides showing(Set<Kind> newShown, Set<Kind> newSnaps) {
        return new Guides(columns, rows, gutter, own, newShown, newSnaps);
    }

    /** The same on a sheet that is so much wider and higher; the gutter grows by {@code lengths}. */
    public Guides scaled(double across, double down, double lengths) {
        List<Own> moved = own.stream().map(o -> new Own(o.upright(), o.at() * (o.upright() ? across : down))).toList();
        return new Guides(columns, rows, Math.min(500, gutter * lengths), moved, shown, snaps);
    }

    /** The start and end of each column (or row) of that many in a length, gutters between; empty where they leave no room. */
    public static List<double[]> spans(double from, double length, int count, double gutter) {
        List<double[]> spans = new ArrayList<>();
        double size = (length - (count - 1) * gutter) / count;
        for (int i = 0; i < count && size > 0; i++) spans.add(new double[] {from + i * (size + gutter), from + i * (size + gutter) + size});
        return spans;
    }
}
