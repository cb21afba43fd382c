package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.PanelState;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * What the bench shows of the selected panels. A field is empty where the panels differ.
 */
public record SelectionView(List<Element> panels, String title, Place place, String outline, List<String> radii,
        Optional<PictureView> picture,
        Optional<LayersView> layers) {
    /** Their common box, and what is common to their seats. */
    public record Place(String left, String top, String width, String height, String turn) {
        static final Place NONE = new Place("", "", "", "", "");
    }

    /** Those of the selection that are floats. */
    public List<Element> floats() {
        return panels.stream().filter(p -> p.afloat().isPresent()).toList();
    }

    /** How the pictures of the selection sit; numbers are of the first panel that has a picture. */
    public record PictureView(String name, String fit, Lie lie, boolean held, Cover cover, Sharpness sharpness, String focal,
            Optional<VistaView> vista) {}

    /** Where it lies, with the bare numbers of what a slider sets. */
    public record Lie(String across, String down, String zoom, double zoomNumber, String turn, double turnNumber) {}

    /** How it covers. */
    public record Cover(Coverage coverage, boolean bare, String verdict, String room) {}

    /** @param target what the sheet is meant for */
    public record Sharpness(String ppi, boolean soft, String target) {}

    /**
     * The vista that the lit panel shows a slice of.
     *
     * @param members how many panels show it
     * @param whole   whether the numbers beside are those of the whole vista, from the middle of all its panels
     * @param carried whether the lit panel carries its slice
     * @param nudged  whether the lit panel's slice is nudged
     */
    public record VistaView(String id, int members, boolean whole, boolean carried, boolean nudged) {}

    static SelectionView of(Sheet sheet, Collection<String> selected, Looking looking) {
        List<Element> panels = sheet.chosen(selected);
        if (panels.isEmpty()) return new SelectionView(panels, "", Place.NONE, "", List.of(), Optional.empty(), Optional.empty());
        Numbers numbers = new Numbers(sheet);
        Box box = Box.union(panels.stream().map(Element::boundsOnSheet).toList());
        String title = panels.size() == 1 ? panels.get(0).name() : Element.counted(panels);
        Place place = new Place(numbers.length(box.x()), numbers.length(box.y()), common(panels, p -> numbers.length(p.seat().width())),
                common(panels, p -> numbers.length(p.seat().height())), common(panels, p -> numbers.degrees(p.seat().turn())));
        return new SelectionView(panels, title, place, common(panels, p -> p.holder().map(h -> h.outline().label()).orElse(p.kind())),
                radii(numbers, panels), panels.stream().flatMap(p -> p.holder().stream())
                        .filter(p -> p.acting(looking.layer()) >= 0).findFirst()
                        .map(p -> picture(sheet, p, looking)),
                Optional.of(panels.get(0).holder().map(holder -> LayersView.of(sheet, holder, looking.layer())).orElse(LayersView.NONE)));
    }

    private static String common(List<Element> panels, Function<Element, String> field) {
        List<String> values = panels.stream().map(field).distinct().toList();
        return values.size() == 1 ? values.get(0) : "";
    }

    private static List<String> radii(Numbers numbers, List<Element> panels) {
        return panels.get(0).holder().map(holder -> holder.outline().radii().stream().map(numbers::bare).toList()).orElse(List.of());
    }

    private static PictureView picture(Sheet sheet, Holder panel, Looking looking) {
        PictureLayer layer = panel.picture(looking.layer()).orElseThrow();
        Optional<Vista> vista = layer.slice().map(slice -> sheet.vista(slice.vista()));
        boolean whole = looking.whole() && vista.isPresent();
        Shown shown = Vistas.shown(sheet, panel, layer);
        Picture picture = shown.picture();
        Sitting sitting = whole ? Vistas.sitting(sheet, vista.get()) : Sitting.of(panel, shown);
        Pose p = whole ? Vistas.pose(vista.get(), picture) : shown.pose();
        Point from = sitting.pivot(whole);
        Coverage c = Coverage.of(sitting, p);
        Numbers n = new Numbers(sheet);
        boolean soft = c.softer(sheet.ppi());
        // A picture that leaves room for what lies behind it leaves nothing bare.
        boolean bare = whole ? !c.covered() : PanelState.of(sheet, panel) == PanelState.BARE;
        Lie lie = new Lie(n.length(p.centre().x() - from.x()), n.length(p.centre().y() - from.y()), n.percent(c.zoom()), c.zoom() * 100,
                n.degrees(p.turn()), p.turn());
        Cover cover = new Cover(c, bare, whole ? verdict(sheet, vista.get()) : verdict(n, c, bare), n.room(c));
        return new PictureView(picture.name(), shown.flat().fit().label(), lie, shown.held(), cover,
                new Sharpness(n.ppi(c.ppi()), soft, n.ppi(sheet.ppi())),
                focal(n, sitting, p, picture), vista.map(v -> new VistaView(v.id(), sheet.members(v.id()).size(), whole,
                layer.slice().orElseThrow().carried(), !layer.nudge().equals(Nudge.NONE))));
    }

    /** How far the focal point is from the middle; empty where there is none. */
    private static String focal(Numbers n, Sitting sitting, Pose placement, Picture picture) {
        return picture.focal().map(focal -> {
            Point off = FocalPlace.now(sitting, placement, focal).minus(sitting.middle());
            if (off.distance(Point.ORIGIN) < 0.005) return "In the middle.";
            return n.length(Math.abs(off.x())) + (off.x() < 0 ? " left, " : " right, ") + n.length(Math.abs(off.y()))
                    + (off.y() < 0 ? " above the middle." : " below the middle.");
        }).orElse("");
    }

    private static String verdict(Numbers n, Coverage c, boolean bare) {
        if (c.covered()) return "Covers the panel.";
        return bare ? n.percent(c.bareShare()) + " of the panel is bare." : "Fills " + n.percent(1 - c.bareShare())
                + " of the panel; what lies behind it fills the rest.";
    }

    /** "Covers all 3 panels.", or the bare ones by name. */
    private static String verdict(Sheet sheet, Vista vista) {
        List<Holder> members = sheet.members(vista.id());
        List<String> bare = members.stream().filter(m -> PanelState.of(sheet, m) == PanelState.BARE).map(Element::name).toList();
        if (bare.isEmpty()) return "Covers all " + members.size() + " panels.";
        String names = String.join(", ", bare.subList(0, Math.min(3, bare.size())));
        return bare.size() == 1 ? names + " is bare."
                : names + (bare.size() > 3 ? " and " + (bare.size() - 3) + " more are bare." : " are bare.");
    }
}
