package plainlantern.fitting;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.geometry.Affine;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Vistas: how one picture lies behind many panels. A slice is told as a placement in its panel, and a vista as a placement on the sheet
 * in front of all its panels' forms; so everything that is known of one picture in one panel holds for both.
 */
public final class Vistas {
    /** A slice that a nudge cannot make: it only moves, turns and zooms. */
    private static final String NO_MIRROR = "Mirror the whole vista, or let this panel leave it first.";

    private Vistas() {}

    /** The elements with those panels replaced by what {@code change} makes of them. */
    public static List<Element> replaced(List<Element> elements, Collection<String> panels, UnaryOperator<Panel> change) {
        return elements.stream().map(e -> e instanceof Panel p && panels.contains(p.id()) ? change.apply(p) : e).toList();
    }

    /** A new vista over panels: the picture just covers the union of their bounds. */
    public static Vista over(String id, Picture picture, List<Panel> panels) {
        Box box = Box.union(panels.stream().map(Panel::boundsOnSheet).toList());
        double scale = Math.max(box.width() / picture.width(), box.height() / picture.height());
        return new Vista(id, picture.id(), box.centre(), picture.width() * scale, picture.height() * scale, 0, false, true);
    }

    /** How the picture lies on the sheet: it covers the vista's frame. */
    public static Placement placement(Vista vista, Picture picture) {
        double scale = Math.max(vista.width() / picture.width(), vista.height() / picture.height());
        return new Placement(vista.centre(), scale, scale, vista.turn(), vista.mirrored());
    }

    /** The vista whose picture lies so; its frame grows and shrinks with it. */
    public static Vista placed(Vista vista, Picture picture, Placement placement, boolean held) {
        double factor = placement.scaleX() / placement(vista, picture).scaleX();
        return new Vista(vista.id(), vista.picture(), placement.centre(), vista.width() * factor, vista.height() * factor, placement.turn(), placement.mirrored(), held);
    }

    /** From where the vista lies on the sheet to where the panel shows it: the identity unless the slice is nudged or carried. */
    public static Affine through(Panel panel, VistaSlice slice) {
        return panel.seat().toSheet().after(slice.nudge().map()).after(home(panel, slice).toSheet().inverse());
    }

    private static Seat home(Panel panel, VistaSlice slice) {
        return slice.home().orElse(panel.seat());
    }

    /** From the vista's pixels to the panel's frame, before the nudge. */
    private static Affine base(Sheet sheet, Panel panel, VistaSlice slice) {
        Vista vista = sheet.vista(slice.vista());
        Picture picture = sheet.picture(vista.picture());
        return home(panel, slice).toSheet().inverse().after(placement(vista, picture).toPanel(picture.width(), picture.height()));
    }

    /** As {@link #shown(Sheet, Panel, int)}, of the frontmost picture. */
    public static Optional<OwnPicture> shown(Sheet sheet, Panel panel) {
        return shown(sheet, panel, Typed.FRONTMOST);
    }

    /** A picture of a panel told as one of its own: itself, or a slice as it lies in the panel; see {@link Panel#acting} for the layer. */
    public static Optional<OwnPicture> shown(Sheet sheet, Panel panel, int layer) {
        int at = panel.acting(layer);
        if (at < 0) return Optional.empty();
        if (panel.content().get(at) instanceof OwnPicture own) return Optional.of(own);
        VistaSlice slice = (VistaSlice) panel.content().get(at);
        Vista vista = sheet.vista(slice.vista());
        Picture picture = sheet.picture(vista.picture());
        Affine map = slice.nudge().map().after(base(sheet, panel, slice));
        return Optional.of(new OwnPicture(picture.id(), Fit.FREE, placement(map, picture), vista.held(), slice.look()));
    }

    /** The placement that a similarity from pixels to a frame is. */
    private static Placement placement(Affine map, Picture picture) {
        boolean mirrored = map.determinant() < 0;
        double turn = Math.toDegrees(mirrored ? Math.atan2(-map.b(), -map.a()) : Math.atan2(map.b(), map.a()));
        Point centre = map.apply(new Point(picture.width() / 2.0, picture.height() / 2.0));
        return new Placement(centre, map.xScale(), map.xScale(), turn, mirrored);
    }

    /** A panel's form in front of its slice. */
    public static Sitting sitting(Sheet sheet, Panel panel) {
        return Sitting.of(panel, sheet.picture(sheet.vista(panel.slice().orElseThrow().vista()).picture()));
    }

    /**
     * All members' forms in front of the vista, in the sheet's frame. A form whose slice is nudged or carried stands where the picture
     * would have to be for it, so that moving the vista moves what all of them need alike.
     */
    public static Sitting sitting(Sheet sheet, Vista vista) {
        Picture picture = sheet.picture(vista.picture());
        List<Path.Segment> forms = new ArrayList<>();
        for (Panel member : sheet.members(vista.id())) {
            VistaSlice slice = member.slice().orElseThrow();
            forms.addAll(member.pathOnSheet().mapped(through(member, slice).inverse()).segments());
        }
        return new Sitting(new Path(forms), picture.width(), picture.height());
    }

    /** The panel with its slice nudged so that it lies as {@code wanted} says; throws {@link BadInput} for a mirrored or stretched one. */
    public static Panel nudged(Sheet sheet, Panel panel, Placement wanted) {
        return panel.changingSlices(content -> {
            VistaSlice slice = (VistaSlice) content;
            Picture picture = sheet.picture(sheet.vista(slice.vista()).picture());
            Affine map = wanted.toPanel(picture.width(), picture.height()).after(base(sheet, panel, slice).inverse());
            BadInput.unless(map.determinant() > 0, "mirror", NO_MIRROR);
            return slice.nudged(Nudge.of(map));
        });
    }

    /** The panel with that slice in place of the one it had, or of its frontmost picture. */
    public static Panel joined(Panel panel, VistaSlice slice) {
        return panel.showing(panel.slice().map(panel.content()::indexOf).orElse(Typed.FRONTMOST), slice);
    }

    /** The panel carrying its slice from where it is now, or looking through again. The way back is exact. */
    public static Panel carrying(Panel panel, boolean carried) {
        return panel.changingSlices(content -> {
            VistaSlice slice = (VistaSlice) content;
            if (slice.carried() == carried) return slice;
            return slice.homed(carried ? Optional.of(panel.seat()) : Optional.empty());
        });
    }

    /** The panel with its slice as a picture of its own that looks exactly the same; covered ones stay covered from now on. */
    public static Panel left(Sheet sheet, Panel panel) {
        if (panel.slice().isEmpty()) return panel;
        OwnPicture shown = shown(sheet, panel, panel.content().indexOf(panel.slice().get())).orElseThrow();
        boolean covered = Coverage.of(sitting(sheet, panel), shown.placement()).covered();
        return panel.changingSlices(slice -> shown.settled(Fit.FREE, shown.placement(), covered));
    }

    /** {@code after}, whose seat differs from {@code before}'s by a move and a turn, with its slice where it was on the sheet. */
    static Panel inPlace(Panel before, Panel after) {
        Affine step = after.seat().toSheet().inverse().after(before.seat().toSheet());
        return after.changingSlices(content -> {
            VistaSlice slice = (VistaSlice) content;
            Nudge nudge = slice.nudge().equals(Nudge.NONE) ? Nudge.NONE : Nudge.of(step.after(slice.nudge().map()).after(step.inverse()))
                    .as(slice.nudge().loosened());
            Optional<Seat> home = slice.home().map(seat -> seat.at(seat.toSheet().apply(step.inverse().apply(Point.ORIGIN)))
                    .turned(seat.turn() + (after.seat().turn() - before.seat().turn()) * (seat.mirrored() == before.seat().mirrored() ? 1 : -1)));
            return slice.homed(home).nudged(nudge);
        });
    }
}
