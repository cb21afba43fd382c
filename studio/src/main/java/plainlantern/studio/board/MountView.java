package plainlantern.studio.board;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import plainlantern.editing.mounting.Planes;
import plainlantern.geometry.Point;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Sheet;

/**
 * How the lit picture, or the whole vista, is mounted.
 *
 * @param possible    whether it can be: a slice is not mounted without its vista
 * @param corners     none where it lies flat
 * @param proportions of the frame, such as "3 : 2"
 * @param says        where these come from
 */
public record MountView(boolean possible, List<Corner> corners, String proportions, String says) {
    private static final List<String> NAMES = List.of("Upper left", "Upper right", "Lower right", "Lower left");
    /** Proportions that whole numbers up to this give within that share are told by them. */
    private static final int WHOLE = 16;
    private static final double NEARLY = 0.0005;

    /** Where a corner is on the sheet. */
    public record Corner(String name, String across, String down) {}

    static Optional<MountView> of(Sheet sheet, Collection<String> selected, Looking looking) {
        return sheet.chosen(selected).stream().flatMap(e -> e.holder().stream()).filter(p -> p.picture(looking.layer()).isPresent())
                .findFirst().map(panel -> {
            boolean slice = panel.picture(looking.layer()).orElseThrow().slice().isPresent();
            if (slice && !looking.whole()) return new MountView(false, List.of(), "", "");
            return of(sheet, Planes.hung(sheet, panel, looking.whole(), looking.layer()).orElseThrow());
        });
    }

    private static MountView of(Sheet sheet, Planes.Hung hung) {
        if (hung.plane().isEmpty()) return new MountView(true, List.of(), "", "");
        Plane plane = hung.plane().get();
        Numbers n = new Numbers(sheet);
        List<Corner> corners = new ArrayList<>();
        for (int i = 0; i < NAMES.size(); i++) {
            Point at = hung.toSheet().apply(plane.corners().get(i));
            corners.add(new Corner(NAMES.get(i), n.bare(at.x()), n.bare(at.y())));
        }
        String says = plane.fixed() ? "As you set them. Empty the field for what the corners tell."
                : hung.proportions(plane.corners(), sheet).determined() ? "As the four corners tell."
                : "The corners alone don\u2019t tell for certain; a lens of 28 mm is assumed. Type them if you know them.";
        return new MountView(true, corners, told(plane.proportions()), says);
    }

    private static String told(double ratio) {
        for (int down = 1; down <= WHOLE; down++) {
            long across = Math.round(ratio * down);
            if (across > 0 && across <= WHOLE && Math.abs(across / (ratio * down) - 1) < NEARLY) return across + " : " + down;
        }
        return ratio >= 1 ? String.format(Locale.ROOT, "%.3f : 1", ratio) : String.format(Locale.ROOT, "1 : %.3f", 1 / ratio);
    }
}
