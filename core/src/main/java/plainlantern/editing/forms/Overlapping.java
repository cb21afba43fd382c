package plainlantern.editing.forms;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.editing.Remark;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Path;
import plainlantern.geometry.Regions;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/** Panels whose forms are combined, from back to front, and the regions into which they part each other. */
public record Overlapping(List<Holder> panels, Regions regions) {
    /** mm²: what is smaller cannot be seen or cut. */
    public static final double SLIVER = 0.01;

    /** @throws BadInput where fewer than {@code fewest} of them can be combined, or one is locked */
    public static Overlapping of(Sheet sheet, Collection<String> ids, int fewest) {
        List<Holder> panels = sheet.elements(ids).stream().flatMap(e -> e.holder().stream()).filter(Holder::takesPictures).toList();
        BadInput.unless(panels.size() >= fewest, "panels", fewest == 1 ? "Select a panel first."
                : "Select two panels or more to combine them.");
        for (Element panel : panels) BadInput.unless(!panel.locked(), "panels", panel.name() + " is locked. Unlock it first.");
        return new Overlapping(panels, new Regions(panels.stream().map(Holder::pathOnSheet).toList(), SLIVER));
    }

    /** A panel in a form that is told on the sheet; what it shows stays where it is. */
    static Holder formed(Sheet sheet, Holder panel, Path form) {
        return Refit.shaped(sheet, panel, form.mapped(panel.seat().toSheet().inverse()));
    }

    /** What is said of slivers that were left out. */
    static Optional<Remark> said(double dropped) {
        return dropped < 1e-6 ? Optional.empty() : Optional.of(Remark.of("Slivers of " + (dropped < 0.001 ? "less than 0.001"
                : String.format(Locale.ROOT, "%.3f", dropped)) + " mm\u00b2 in all were too small to keep."));
    }
}
