package plainlantern.studio.board;

import java.util.Locale;
import plainlantern.asking.Unit;
import plainlantern.fitting.Coverage;
import plainlantern.sheet.Sheet;

/** Numbers of a sheet as people read them. */
public record Numbers(Sheet sheet) {
    /** "12.40 mm", in the sheet's unit. */
    public String length(double mm) {
        return sheet.length(mm);
    }

    /** "12.40" */
    public String bare(double mm) {
        return sheet.unit().show(mm, sheet.ppi());
    }

    /** The size of letters, in points as the trade has it, in pixels on pixel sheets. */
    public String letters(double mm) {
        Unit unit = sheet.unit() == Unit.PX ? Unit.PX : Unit.PT;
        return unit.show(mm, sheet.ppi()) + " " + unit.symbol();
    }

    public String percent(double share) {
        return Unit.percent(share);
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
            return "To spare, in " + sheet.unit().symbol() + ": " + bare(c.left()) + " left, " + bare(c.right()) + " right, "
                    + bare(c.top()) + " top, "
                    + bare(c.bottom()) + " bottom.";
        }
        return "Up to " + length(c.missing()) + " missing at the " + c.worst() + " of the picture.";
    }
}
