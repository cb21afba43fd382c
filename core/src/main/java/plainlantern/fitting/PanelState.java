package plainlantern.fitting;

import java.util.Optional;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/** How a panel stands, in one word, worst first. */
public enum PanelState {
    EMPTY("empty"), BARE("bare"), SOFT("soft"), COVERED("covered");

    private final String label;

    PanelState(String label) {
        this.label = label;
    }

    public String label() {
        return label;
    }

    /** Soft: softer than the sheet is meant for. */
    public static PanelState of(Sheet sheet, Panel panel) {
        Optional<Coverage> coverage = coverage(sheet, panel);
        if (coverage.isEmpty()) return EMPTY;
        if (!coverage.get().covered()) return BARE;
        return coverage.get().softer(sheet.ppi()) ? SOFT : COVERED;
    }

    /** The coverage of what the panel shows, a picture of its own or a slice of a vista. */
    public static Optional<Coverage> coverage(Sheet sheet, Panel panel) {
        return Vistas.shown(sheet, panel).map(own ->
                Coverage.of(Sitting.of(panel, sheet.picture(own.picture())), own.placement()));
    }
}
