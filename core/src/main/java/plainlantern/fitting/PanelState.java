package plainlantern.fitting;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import plainlantern.geometry.Path;
import plainlantern.geometry.Polygons;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
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

    /** Bare: it has pictures, and neither one of them nor a wash fills it. Soft: one of them is softer than the sheet is meant for. Captions and rules want no picture. */
    public static PanelState of(Sheet sheet, Panel panel) {
        if (!panel.role().takesPictures()) return COVERED;
        List<Content> shown = panel.shown();
        if (shown.isEmpty()) return EMPTY;
        List<Coverage> pictures = IntStream.range(0, panel.content().size()).filter(i -> panel.content().get(i).pictured()
                && !panel.content().get(i).look().off())
                .mapToObj(i -> coverage(sheet, panel, i).orElseThrow()).toList();
        boolean filled = pictures.isEmpty() || pictures.stream().anyMatch(Coverage::covered)
                || shown.stream().anyMatch(Wash.class::isInstance);
        if (!filled) return BARE;
        return pictures.stream().anyMatch(c -> c.softer(sheet.ppi())) ? SOFT : COVERED;
    }

    /** The part of a {@link #BARE} panel's form, in its own frame, that no picture fills. */
    public static Optional<Path> bare(Sheet sheet, Panel panel) {
        Optional<Path> left = Optional.of(panel.ownPath());
        for (int i = 0; i < panel.content().size() && left.isPresent(); i++) {
            if (!panel.content().get(i).pictured() || panel.content().get(i).look().off()) continue;
            OwnPicture own = Vistas.shown(sheet, panel, i).orElseThrow();
            Picture picture = sheet.picture(own.picture());
            Path frame = Sitting.of(panel, picture).frame(own.placement());
            left = Polygons.without(left.get(), frame);
        }
        return left;
    }

    /** The coverage of the panel's frontmost picture, one of its own or a slice of a vista. */
    public static Optional<Coverage> coverage(Sheet sheet, Panel panel) {
        return coverage(sheet, panel, Typed.FRONTMOST);
    }

    private static Optional<Coverage> coverage(Sheet sheet, Panel panel, int layer) {
        return Vistas.shown(sheet, panel, layer).map(own ->
                Coverage.of(Sitting.of(panel, sheet.picture(own.picture())), own.placement()));
    }
}
