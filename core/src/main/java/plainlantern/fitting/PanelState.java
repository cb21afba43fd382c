package plainlantern.fitting;

import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Path;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
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

    /**
     * Bare: it has pictures, and neither one of them nor a wash fills it. Soft: one of them is softer than the sheet is meant for. Captions
     * and rules want no picture.
     */
    public static PanelState of(Sheet sheet, Element element) {
        return element.holder().filter(Holder::takesPictures).map(holder -> of(sheet, holder)).orElse(COVERED);
    }

    private static PanelState of(Sheet sheet, Holder holder) {
        if (holder.shown().isEmpty()) return EMPTY;
        List<Coverage> pictures = pictures(sheet, holder).stream().map(shown -> coverage(holder, shown)).toList();
        boolean filled = pictures.isEmpty() || pictures.stream().anyMatch(Coverage::covered)
                || holder.shown().stream().anyMatch(layer -> layer.wash().isPresent());
        if (!filled) return BARE;
        return pictures.stream().anyMatch(c -> c.softer(sheet.ppi())) ? SOFT : COVERED;
    }

    /** The part of a {@link #BARE} panel's form, in its own frame, that no picture fills. */
    public static Optional<Path> bare(Sheet sheet, Holder holder) {
        Optional<Path> left = Optional.of(holder.ownPath());
        for (Shown shown : pictures(sheet, holder)) {
            left = left.flatMap(path -> Algebra.difference(path, shown.edges()));
        }
        return left;
    }

    /** The pictures of a panel that are switched on. */
    private static List<Shown> pictures(Sheet sheet, Holder holder) {
        return holder.pictures().stream().filter(layer -> !layer.look().off()).map(layer -> Vistas.shown(sheet, holder, layer)).toList();
    }

    /** The coverage of the panel's frontmost picture, one of its own or a slice of a vista. */
    public static Optional<Coverage> coverage(Sheet sheet, Holder holder) {
        return Vistas.shown(sheet, holder).map(shown -> coverage(holder, shown));
    }

    private static Coverage coverage(Holder holder, Shown shown) {
        return Coverage.of(Sitting.of(holder, shown), shown.pose());
    }
}
