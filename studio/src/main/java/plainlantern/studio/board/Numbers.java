package plainlantern.studio.board;

import java.util.Locale;
import plainlantern.fitting.Coverage;
import plainlantern.sheet.Sheet;

/** Numbers of a sheet as people read them. */
public record Numbers(Sheet sheet) {
    /** "12.40 mm", in the sheet's unit. */
    public String length(double mm) {
        return bare(mm) + " " + sheet.unit().symbol();
    }

    /** "12.40" */
    public String bare(double mm) {
        return sheet.unit().show(mm, sheet.ppi());
    }

    public String percent(double share) {
        return String.format(Locale.ROOT, share < 0.0995 ? "%.1f %%" : "%.0f %%", share * 100);
    }

    public String degrees(double turn) {
        return String.format(Locale.ROOT, "%.1f°", turn + 0.0).replace('-', '\u2212').replaceFirst("^\u22120\\.0°$", "0.0°");
    }

    public String ppi(double ppi) {
        return String.format(Locale.ROOT, "%.0f ppi", ppi);
    }

    /** The sides that show bare, or how far the picture can still move. */
    public String room(Coverage c) {
        if (c.covered()) {
            return "To spare, in " + sheet.unit().symbol() + ": " + bare(c.left()) + " left, " + bare(c.right()) + " right, " + bare(c.top()) + " top, "
                    + bare(c.bottom()) + " bottom.";
        }
        double worst = Math.min(Math.min(c.left(), c.right()), Math.min(c.top(), c.bottom()));
        String side = worst == c.left() ? "left" : worst == c.right() ? "right" : worst == c.top() ? "top" : "bottom";
        return "Up to " + length(-worst) + " missing at the " + side + " of the picture.";
    }
}
