package plainlantern.editing.mounting;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import plainlantern.asking.BadInput;
import plainlantern.editing.filling.Pictures;
import plainlantern.fitting.Onlook;
import plainlantern.fitting.Proportions;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/** What the edits of planes share. */
public final class Planes {
    private static final String BEHIND = "Part of the panel would lie behind the horizon of that plane. Sides that come together have to "
            + "meet beyond the panel.";
    /** A form whose corners are so near to a plane's, mm, is the frame, and goes with it. */
    private static final double SAME = 0.01;

    private Planes() {}

    /**
     * A picture of a panel, or a whole vista.
     *
     * @param plane   what it is mounted in, in the frame below
     * @param form    what it is seen through, there
     * @param toSheet from that frame to the sheet
     * @param through the elements that it is seen through
     */
    public record Hung(Optional<Plane> plane, Path form, Affine toSheet, List<String> through) {
        /** Corners in its frame as a plane, with the proportions that they tell. */
        Plane told(List<Point> corners, Sheet sheet) {
            return new Plane(corners, proportions(corners, sheet).ratio(), false);
        }

        /** What corners in its frame tell of the rectangle that is seen so. */
        public Proportions proportions(List<Point> corners, Sheet sheet) {
            List<Point> there = corners.stream().map(toSheet::apply).toList();
            return Proportions.of(there, Onlook.at(sheet, Quads.middle(there), through));
        }

        /** With other corners: proportions that somebody has said stay. */
        Plane cornered(List<Point> corners, Sheet sheet) {
            return plane.filter(Plane::fixed).map(was -> new Plane(corners, was.proportions(), true)).orElseGet(() -> told(corners, sheet));
        }
    }

    /** What the plane of something becomes. */
    interface Change {
        Optional<Plane> of(Hung hung);
    }

    /** What is meant of a panel, where it shows a picture. */
    public static Optional<Hung> hung(Sheet sheet, Holder panel, boolean whole, int layer) {
        return panel.picture(layer).map(picture -> whole && picture.slice().isPresent()
                ? of(sheet, sheet.vista(picture.slice().get().vista())) : of(panel, picture));
    }

    private static Hung of(Holder panel, PictureLayer picture) {
        return new Hung(picture.plane(), panel.ownPath(), panel.seat().toSheet(), List.of(panel.id()));
    }

    private static Hung of(Sheet sheet, Vista vista) {
        List<Holder> members = sheet.members(vista.id());
        Path form = new Path(members.stream().flatMap(m -> m.pathOnSheet().segments().stream()).toList());
        return new Hung(vista.plane(), form, Affine.IDENTITY, members.stream().map(Element::id).toList());
    }

    /** Changes what pictures of panels are mounted in; slices are meant with their vistas. */
    static Sheet changing(Sheet before, List<String> panels, boolean whole, int layer, Change change) {
        boolean any = before.holders(panels).stream().anyMatch(p -> p.acting(layer) >= 0);
        BadInput.unless(any, "panels", "There is no picture in there yet.");
        Set<String> vistas = new LinkedHashSet<>();
        Sheet after = before.holding(panels, panel -> {
            int at = panel.acting(layer);
            if (at < 0) return panel;
            Optional<Vista> vista = Pictures.vista(before, panel, layer);
            vista.ifPresent(v -> vistas.add(v.id()));
            BadInput.unless(vista.isEmpty() || whole, "panels", "A vista is mounted whole. Choose “Whole vista” first.");
            return vista.isPresent() ? panel : changed(before, panel, at, change);
        });
        for (String id : vistas) after = changed(after, before.vista(id), change);
        return after;
    }

    /** As {@link #changing}, of what is mounted among them; refuses where nothing is. */
    static Sheet changingMounted(Sheet before, List<String> panels, boolean whole, int layer, BiFunction<Hung, Plane, Plane> change) {
        boolean[] any = {false};
        Sheet after = changing(before, panels, whole, layer, hung -> {
            any[0] |= hung.plane().isPresent();
            return hung.plane().map(plane -> change.apply(hung, plane));
        });
        BadInput.unless(any[0], "panels", "This picture lies flat. Mount it first.");
        return after;
    }

    private static Holder changed(Sheet before, Holder panel, int at, Change change) {
        PictureLayer was = panel.picture(at).orElseThrow();
        Optional<Plane> now = change.of(of(panel, was));
        if (now.equals(was.plane())) return panel;
        boolean frame = was.plane().isPresent() && now.isPresent() && !panel.locked() && frames(panel.ownPath(), was.plane().get());
        Holder shaped = frame ? Refit.shaped(before, panel, Path.polygon(now.get().corners())) : panel;
        Affine moved = shaped.seat().toSheet().inverse().after(panel.seat().toSheet());
        Optional<Plane> plane = now.map(p -> p.mapped(moved));
        Picture picture = before.picture(before.pictureOf(was));
        Sitting is = sitting(Sitting.of(shaped, picture, plane));
        Flat flat = refitted(before, was.flat(), was.plane(), now, Sitting.of(panel, picture, was.plane()), is);
        return shaped.changingLayer(at, layer -> layer.picture().orElseThrow().mounted(plane).lying(flat));
    }

    private static Sheet changed(Sheet before, Vista vista, Change change) {
        Optional<Plane> now = change.of(of(before, vista));
        if (now.equals(vista.plane())) return before;
        Picture picture = before.picture(vista.picture());
        Vista mounted = vista.mounted(now, vista.frame());
        Sitting is = sitting(Vistas.sitting(before.with(mounted), mounted));
        Flat flat = refitted(before, Vistas.shown(before, vista).flat(), vista.plane(), now, Vistas.sitting(before, vista), is);
        return before.with(Vistas.placed(mounted, picture, flat));
    }

    private static Sitting sitting(Sitting is) {
        BadInput.unless(is.seen().map(Sitting.Seen::before).orElse(true), "corners", BEHIND);
        return is;
    }

    /** Whether a form is the frame that a plane is. */
    private static boolean frames(Path form, Plane plane) {
        List<Point> corners = form.corners().orElse(List.of());
        return corners.size() == 4 && plane.corners().stream().allMatch(p -> corners.stream().anyMatch(c -> c.distance(p) < SAME));
    }

    /**
     * A rule is applied anew; what was placed by hand keeps its zoom and its place in the plane, and covers anew where it comes
     * into one.
     */
    private static Flat refitted(Sheet sheet, Flat flat, Optional<Plane> before, Optional<Plane> after, Sitting was, Sitting is) {
        Pose old = flat.pose();
        if (flat.fit() != Fit.FREE) return flat.settled(flat.fit(), is.fitted(flat.fit(), old.turn(), old.mirrored(), sheet.ppi()));
        if (before.isEmpty() || after.isEmpty()) {
            boolean level = is.outline().bounds().equals(was.outline().bounds());
            return level ? flat : flat.settled(Fit.COVER, is.fitted(Fit.COVER, old.turn(), old.mirrored(), sheet.ppi()), true);
        }
        double factor = is.coverScale(old.turn()) / was.coverScale(old.turn());
        return flat.settled(Fit.FREE, Refit.hold(flat, is, old.scaled(factor).at(old.centre().times(factor))));
    }
}
