package plainlantern.sheet;

import plainlantern.asking.Unit;

/**
 * Ready sheet sizes, portrait. Paper in mm from ISO 216 (A series) and ANSI/ASME Y14.1 (Letter, 8.5 by 11 in); screens
 * in pixels (common practice).
 */
public enum SheetSize {
    A3("A3", Unit.MM, 297, 420), A4("A4", Unit.MM, 210, 297), A5("A5", Unit.MM, 148, 210), A6("A6", Unit.MM, 105, 148),
    LETTER("Letter", Unit.IN, 8.5, 11), SQUARE("Square", Unit.MM, 210, 210),
    SCREEN_SQUARE("Square on screen", Unit.PX, 1080, 1080), SCREEN_HD("Screen 16:9", Unit.PX, 1080, 1920),
    SCREEN_UHD("Large screen 16:9", Unit.PX, 2160, 3840);

    /** CSS Values 4: a reference pixel is 1/96 in. */
    public static final double SCREEN_PPI = 96;
    /** Print at reading distance (common practice). */
    public static final double PRINT_PPI = 300;

    private final String label;
    private final Unit unit;
    private final double shorter;
    private final double longer;

    SheetSize(String label, Unit unit, double shorter, double longer) {
        this.label = label;
        this.unit = unit;
        this.shorter = shorter;
        this.longer = longer;
    }

    public String label() {
        return label;
    }

    public Unit unit() {
        return unit;
    }

    /** The shorter side in {@link #unit}. */
    public double shorter() {
        return shorter;
    }

    /** The longer side in {@link #unit}. */
    public double longer() {
        return longer;
    }

    /** "A3 landscape" where the sheet has one of these sizes (within 0.01 mm), else its numbers: "210 × 98.5 mm". */
    public static String describe(Sheet sheet) {
        for (SheetSize size : values()) {
            double perUnit = size.unit.inMm(size.unit == Unit.PX ? sheet.ppi() : 1);
            if (size.unit == Unit.PX && sheet.unit() != Unit.PX) continue;
            double narrow = Math.min(sheet.width(), sheet.height());
            double wide = Math.max(sheet.width(), sheet.height());
            if (Math.abs(narrow - size.shorter * perUnit) > 0.01 || Math.abs(wide - size.longer * perUnit) > 0.01) continue;
            if (size.shorter == size.longer) return size.label;
            return size.label + (sheet.width() > sheet.height() ? " landscape" : " portrait");
        }
        return brief(sheet, sheet.width()) + " \u00d7 " + brief(sheet, sheet.height()) + " " + sheet.unit().symbol();
    }

    private static String brief(Sheet sheet, double length) {
        String shown = sheet.unit().show(length, sheet.ppi());
        return shown.contains(".") ? shown.replaceFirst("\\.?0+$", "") : shown;
    }
}
