package plainlantern.fitting;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Frame;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Look;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Source;
import plainlantern.sheet.Treatment;
import plainlantern.sheet.Vista;

/**
 * Vistas: how one picture lies behind many panels. A slice is told as a placement in its panel, and a vista as a placement on the sheet
 * in front of all its panels' forms; so everything that is known of one picture in one panel holds for both.
 */
public final class Vistas {
    /** A slice that a nudge cannot make: it only moves, turns and zooms. */
    private static final String NO_MIRROR = "Mirror the whole vista, or let this panel leave it first.";

    private Vistas() {}

    /** A new vista over elements: the picture just covers the union of their bounds. */
    public static Vista over(String id, Picture picture, List<? extends Element> elements) {
        Box box = Box.union(elements.stream().map(Element::boundsOnSheet).toList());
        double scale = Math.max(box.width() / picture.width(), box.height() / picture.height());
        Frame frame = new Frame(box.centre(), picture.width() * scale, picture.height() * scale, 0, false);
        return new Vista(id, picture.id(), frame, true, picture.treatment(), Optional.empty());
    }

    /** A new vista of a panel's own picture, lying where it lies there; a stretched one is as wide as it was. */
    public static Vista lying(String id, Sheet sheet, Holder panel, PictureLayer own) {
        Shown shown = shown(sheet, panel, own);
        Picture picture = shown.picture();
        Affine lies = shown.pose().toPanel(picture.width(), picture.height());
        Pose pose = pose(shown.plane().isPresent() ? lies : panel.seat().toSheet().after(lies), picture);
        Frame frame = new Frame(pose.centre(), picture.width() * pose.scaleX(), picture.height() * pose.scaleX(), pose.turn(),
                pose.mirrored());
        return new Vista(id, picture.id(), frame, shown.held(), shown.treatment(),
                shown.plane().map(plane -> plane.mapped(panel.seat().toSheet())));
    }

    /** The sheet with a new vista seen through those elements, in place of their frontmost pictures; its number is the next one. */
    public static Sheet seen(Sheet before, Collection<String> through, Vista vista) {
        List<Vista> vistas = new ArrayList<>(before.vistas());
        vistas.add(vista);
        PictureLayer slice = PictureLayer.slice(vista.id());
        List<Element> next = before.elements().stream().map(e -> through.contains(e.id()) ? e.holding(p -> joined(p, slice)) : e).toList();
        return before.with(next, before.lastId() + 1, vistas);
    }

    /** How the picture lies on the sheet, or in the plane it is mounted in: it covers the vista's frame. */
    public static Pose pose(Vista vista, Picture picture) {
        double scale = Math.max(vista.width() / picture.width(), vista.height() / picture.height());
        return new Pose(vista.centre(), scale, scale, vista.turn(), vista.mirrored());
    }

    /** A vista told as a picture that lies on the sheet. */
    public static Shown shown(Sheet sheet, Vista vista) {
        Picture picture = sheet.picture(vista.picture());
        return new Shown(picture, new Flat(Fit.FREE, pose(vista, picture), vista.held()), vista.plane(), vista.treatment(), Look.PLAIN,
                Optional.empty(), Optional.empty());
    }

    /** The vista whose picture lies so; its frame grows and shrinks with it. */
    public static Vista placed(Vista vista, Picture picture, Flat flat) {
        Pose pose = flat.pose();
        double factor = pose.scaleX() / pose(vista, picture).scaleX();
        Frame frame = new Frame(pose.centre(), vista.width() * factor, vista.height() * factor, pose.turn(), pose.mirrored());
        return vista.framed(frame, flat.held());
    }

    /**
     * From where a vista that lies flat on the sheet is to where the panel shows it: the identity unless the slice is nudged or
     * carried.
     */
    public static Affine through(Holder panel, PictureLayer slice) {
        return panel.seat().toSheet().after(slice.nudge().map()).after(home(panel, slice).toSheet().inverse());
    }

    private static Seat home(Holder panel, PictureLayer slice) {
        return slice.slice().flatMap(Source.Slice::home).orElse(panel.seat());
    }

    private static Vista vista(Sheet sheet, PictureLayer slice) {
        return sheet.vista(slice.slice().orElseThrow().vista());
    }

    /** From the vista's pixels to the panel's frame, or to the plane it is mounted in, before the nudge. */
    private static Affine base(Sheet sheet, Holder panel, PictureLayer slice) {
        Vista vista = vista(sheet, slice);
        Picture picture = sheet.picture(vista.picture());
        Affine lies = pose(vista, picture).toPanel(picture.width(), picture.height());
        return vista.plane().isPresent() ? lies : home(panel, slice).toSheet().inverse().after(lies);
    }

    /** What a slice's vista is mounted in, as its panel sees it. */
    private static Optional<Plane> plane(Sheet sheet, Holder panel, PictureLayer slice) {
        return vista(sheet, slice).plane().map(plane -> plane.mapped(home(panel, slice).toSheet().inverse()));
    }

    /** A nudge in the frame in which the slice's vista lies, where it turns about the panel's middle. */
    private static Affine nudging(Optional<Plane> plane, Nudge nudge) {
        if (plane.isEmpty()) return nudge.map();
        Point about = plane.get().map().inverse().apply(Point.ORIGIN);
        return Affine.move(about).after(nudge.map()).after(Affine.move(about.times(-1)));
    }

    private static Nudge nudge(Optional<Plane> plane, Affine map) {
        if (plane.isEmpty()) return Nudge.of(map);
        Point about = plane.get().map().inverse().apply(Point.ORIGIN);
        return Nudge.of(Affine.move(about.times(-1)).after(map).after(Affine.move(about)));
    }

    /** As {@link #shown(Sheet, Holder, int)}, of the frontmost picture. */
    public static Optional<Shown> shown(Sheet sheet, Holder panel) {
        return shown(sheet, panel, Typed.FRONTMOST);
    }

    /** A picture of a panel as it lies in it; see {@link Holder#acting} for the layer. */
    public static Optional<Shown> shown(Sheet sheet, Holder panel, int layer) {
        return panel.picture(layer).map(picture -> shown(sheet, panel, picture));
    }

    /** One of a panel's pictures as it lies in it. */
    public static Shown shown(Sheet sheet, Holder panel, PictureLayer layer) {
        if (layer.own().isPresent()) return new Shown(sheet.picture(layer.own().get().picture()), layer.flat(), layer.plane(),
                layer.treatment(), layer.look(), layer.through(), layer.veil());
        Optional<Plane> plane = plane(sheet, panel, layer);
        Vista vista = vista(sheet, layer);
        Picture picture = sheet.picture(vista.picture());
        Pose pose = pose(nudging(plane, layer.nudge()).after(base(sheet, panel, layer)), picture);
        return new Shown(picture, new Flat(Fit.FREE, pose, vista.held()), plane, vista.treatment().slice(layer.treatment()),
                layer.look(), layer.through(), layer.veil());
    }

    /**
     * A picture of a panel as one of the panel's own that looks exactly the same. The vignette of a vista stays where it was over the
     * picture: it does not begin anew in the panel's form.
     *
     * @param shown the layer as it is shown in the panel
     * @param flat  where the picture is placed from now on
     */
    public static PictureLayer owned(Sheet sheet, Holder panel, PictureLayer layer, Shown shown, Flat flat) {
        Treatment treatment = layer.slice().isEmpty() ? shown.treatment()
                : shown.treatment().framed(() -> frame(sheet, panel, layer, shown));
        return new PictureLayer(new Source.Own(shown.picture().id()), flat, treatment.alone(), shown.look(), shown.through(),
                shown.veil())
                .mounted(shown.plane());
    }

    /**
     * The upright box over which a vista's vignette is spread: around all its members on the sheet in mm, or, for one in perspective,
     * around what is seen of it, in its own plane.
     */
    public static Box box(Sheet sheet, String id) {
        Vista vista = sheet.vista(id);
        if (vista.plane().isEmpty()) return sheet.derived(List.of("box", id), () -> Box.union(sheet.members(id).stream()
                .map(Element::boundsOnSheet).toList()));
        return sheet.derived(List.of("box", vista, sheet.picture(vista.picture())), () -> sitting(sheet, vista).outline().bounds());
    }

    /** From shares of the picture's width and height to the vista's box, whose sides are at -1 and 1. */
    private static Affine frame(Sheet sheet, Holder panel, PictureLayer slice, Shown shown) {
        Picture picture = shown.picture();
        Affine lies = shown.pose().toPanel(picture.width(), picture.height());
        Affine toPlane = shown.plane().isPresent() ? lies : panel.seat().toSheet().after(lies);
        return box(sheet, slice.slice().orElseThrow().vista()).toCentred().after(toPlane)
                .after(Affine.scale(picture.width(), picture.height()));
    }

    /** The pose that a similarity from pixels to a frame is. */
    private static Pose pose(Affine map, Picture picture) {
        boolean mirrored = map.determinant() < 0;
        double turn = Math.toDegrees(mirrored ? Math.atan2(-map.b(), -map.a()) : Math.atan2(map.b(), map.a()));
        Point centre = map.apply(new Point(picture.width() / 2.0, picture.height() / 2.0));
        return new Pose(centre, map.xScale(), map.xScale(), turn, mirrored);
    }

    /** A panel's form in front of its slice. */
    public static Sitting sitting(Sheet sheet, Holder panel) {
        return Sitting.of(panel, shown(sheet, panel, panel.sliced().orElseThrow()));
    }

    /**
     * All members' forms in front of the vista, in the sheet's frame. A form whose slice is nudged or carried stands where the picture
     * would have to be for it, so that moving the vista moves what all of them need alike.
     */
    public static Sitting sitting(Sheet sheet, Vista vista) {
        Picture picture = sheet.picture(vista.picture());
        List<Path.Segment> forms = new ArrayList<>();
        List<Path.Segment> seen = new ArrayList<>();
        for (Holder member : sheet.members(vista.id())) {
            PictureLayer slice = member.sliced().orElseThrow();
            if (vista.plane().isEmpty()) forms.addAll(member.pathOnSheet().mapped(through(member, slice).inverse()).segments());
            else {
                Optional<Plane> plane = plane(sheet, member, slice);
                Sitting own = Sitting.of(member, picture, plane);
                forms.addAll(own.outline().mapped(nudging(plane, slice.nudge()).inverse()).segments());
                seen.addAll(member.pathOnSheet().segments());
            }
        }
        return new Sitting(new Path(forms), picture.width(), picture.height(), vista.plane()
                .map(plane -> new Sitting.Seen(plane.map(), new Path(seen))));
    }

    /** The panel with its slice nudged so that it lies as {@code wanted} says; throws {@link BadInput} for a mirrored or stretched one. */
    public static Holder nudged(Sheet sheet, Holder panel, Pose wanted) {
        return panel.changingSlices(slice -> {
            Picture picture = sheet.picture(vista(sheet, slice).picture());
            Affine map = wanted.toPanel(picture.width(), picture.height()).after(base(sheet, panel, slice).inverse());
            BadInput.unless(map.determinant() > 0, "mirror", NO_MIRROR);
            return slice.nudged(nudge(plane(sheet, panel, slice), map));
        });
    }

    /** The panel with that slice in place of the one it had, or of its frontmost picture. */
    public static Holder joined(Holder panel, PictureLayer slice) {
        return panel.showing(panel.sliced().map(panel.content()::indexOf).orElse(Typed.FRONTMOST), slice);
    }

    /** The panel carrying its slice from where it is now, or looking through again. The way back is exact. */
    public static Holder carrying(Holder panel, boolean carried) {
        return panel.changingSlices(slice -> slice.slice().orElseThrow().carried() == carried ? slice
                : slice.homed(carried ? Optional.of(panel.seat()) : Optional.empty()));
    }

    /** The panel with its slice as a picture of its own that looks exactly the same; covered ones stay covered from now on. */
    public static Holder left(Sheet sheet, Holder panel) {
        if (panel.sliced().isEmpty()) return panel;
        Shown shown = shown(sheet, panel, panel.sliced().get());
        boolean covered = Coverage.covers(sitting(sheet, panel), shown.pose());
        return panel.changingSlices(slice -> owned(sheet, panel, slice, shown, new Flat(Fit.FREE, shown.pose(), covered)));
    }

    /** {@code after}, whose seat differs from {@code before}'s by a move and a turn, with its slice where it was on the sheet. */
    static Holder inPlace(Sheet sheet, Holder before, Holder after) {
        Seat is = after.seat();
        Seat was = before.seat();
        Affine step = is.toSheet().inverse().after(was.toSheet());
        return after.changingSlices(slice -> {
            Optional<Plane> plane = plane(sheet, before, slice);
            Optional<Plane> now = plane.map(p -> p.mapped(step));
            Nudge nudge = slice.nudge().equals(Nudge.NONE) ? Nudge.NONE : plane.isPresent()
                    ? nudge(now, nudging(plane, slice.nudge())).as(slice.nudge().loosened())
                    : Nudge.of(step.after(slice.nudge().map()).after(step.inverse())).as(slice.nudge().loosened());
            Optional<Seat> home = slice.slice().orElseThrow().home()
                    .map(seat -> seat.at(seat.toSheet().apply(step.inverse().apply(Point.ORIGIN)))
                    .turned(seat.turn() + (is.turn() - was.turn()) * (seat.mirrored() == was.mirrored() ? 1 : -1)));
            return slice.homed(home).nudged(nudge);
        });
    }
}
