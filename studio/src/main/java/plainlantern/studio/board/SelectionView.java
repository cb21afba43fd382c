package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.PanelState;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * What the bench shows of the selected panels. A field is empty where the panels differ.
 */
public record SelectionView(List<Panel> panels, String title, String left, String top, String width, String height, String turn,
                            String outline, List<String> radii, Optional<PictureView> picture, Optional<LayersView> layers) {
    /** Those of the selection that are floats. */
    public List<Panel> floats() {
        return panels.stream().filter(p -> p.role() == Role.FLOAT).toList();
    }

    /** How the pictures of the selection sit; numbers are of the first panel that has a picture. */
    public record PictureView(String name, String fit, String across, String down, String zoom, double zoomNumber, String turn,
                              double turnNumber, boolean held, Coverage coverage, boolean bare, String verdict, String room,
                              String ppi, boolean soft, String target, String focal, Optional<VistaView> vista) {}

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
        List<Panel> panels = sheet.chosen(selected);
        if (panels.isEmpty()) return new SelectionView(panels, "", "", "", "", "", "", "", List.of(), Optional.empty(), Optional.empty());
        Numbers numbers = new Numbers(sheet);
        Box box = Box.union(panels.stream().map(Panel::boundsOnSheet).toList());
        String title = panels.size() == 1 ? panels.get(0).name() : Role.counted(panels);
        return new SelectionView(panels, title, numbers.length(box.x()), numbers.length(box.y()),
                common(panels, p -> numbers.length(p.seat().width())), common(panels, p -> numbers.length(p.seat().height())),
                common(panels, p -> numbers.degrees(p.seat().turn())), common(panels, p -> p.outline().label()),
                radii(numbers, panels), panels.stream().filter(p -> p.acting(looking.layer()) >= 0).findFirst().map(p -> picture(sheet, p, looking)),
                Optional.of(LayersView.of(sheet, panels.get(0), looking.layer())));
    }

    private static String common(List<Panel> panels, Function<Panel, String> field) {
        List<String> values = panels.stream().map(field).distinct().toList();
        return values.size() == 1 ? values.get(0) : "";
    }

    private static List<String> radii(Numbers numbers, List<Panel> panels) {
        Outline outline = panels.get(0).outline();
        if (!(outline instanceof Rectangle r)) return List.of();
        return List.of(numbers.bare(r.topLeft()), numbers.bare(r.topRight()), numbers.bare(r.bottomRight()), numbers.bare(r.bottomLeft()));
    }

    private static PictureView picture(Sheet sheet, Panel panel, Looking looking) {
        boolean sliced = panel.content().get(panel.acting(looking.layer())) instanceof VistaSlice;
        Optional<Vista> vista = panel.slice().filter(slice -> sliced).map(slice -> sheet.vista(slice.vista()));
        boolean whole = looking.whole() && vista.isPresent();
        OwnPicture own = Vistas.shown(sheet, panel, looking.layer()).orElseThrow();
        Sitting sitting = whole ? Vistas.sitting(sheet, vista.get()) : Sitting.of(panel, sheet.picture(own.picture()));
        Placement p = whole ? Vistas.placement(vista.get(), sheet.picture(own.picture())) : own.placement();
        Point from = whole ? sitting.middle() : Point.ORIGIN;
        Coverage c = Coverage.of(sitting, p);
        Numbers n = new Numbers(sheet);
        boolean soft = c.softer(sheet.ppi());
        // A picture that leaves room for what lies behind it leaves nothing bare.
        boolean bare = whole ? !c.covered() : PanelState.of(sheet, panel) == PanelState.BARE;
        return new PictureView(sheet.picture(own.picture()).name(), own.fit().label(), n.length(p.centre().x() - from.x()), n.length(p.centre().y() - from.y()),
                n.percent(c.zoom()), c.zoom() * 100, n.degrees(p.turn()), p.turn(), own.held(), c, bare, whole ? verdict(sheet, vista.get())
                        : verdict(n, c, bare), n.room(c),
                n.ppi(c.ppi()), soft, n.ppi(sheet.ppi()), focal(n, sitting, p, sheet.picture(own.picture())), vista.map(v -> new VistaView(v.id(), sheet.members(v.id()).size(), whole,
                panel.slice().get().carried(), !panel.slice().get().nudge().equals(Nudge.NONE))));
    }

    /** How far the focal point is from the middle; empty where there is none. */
    private static String focal(Numbers n, Sitting sitting, Placement placement, Picture picture) {
        return picture.focal().map(focal -> {
            Point off = FocalPlace.now(sitting, placement, focal).minus(sitting.middle());
            if (off.distance(Point.ORIGIN) < 0.005) return "In the middle.";
            return n.length(Math.abs(off.x())) + (off.x() < 0 ? " left, " : " right, ") + n.length(Math.abs(off.y())) + (off.y() < 0 ? " above the middle." : " below the middle.");
        }).orElse("");
    }

    private static String verdict(Numbers n, Coverage c, boolean bare) {
        if (c.covered()) return "Covers the panel.";
        return bare ? n.percent(c.bareShare()) + " of the panel is bare." : "Fills " + n.percent(1 - c.bareShare())
                + " of the panel; what lies behind it fills the rest.";
    }

    /** "Covers all 3 panels.", or the bare ones by name. */
    private static String verdict(Sheet sheet, Vista vista) {
        List<Panel> members = sheet.members(vista.id());
        List<String> bare = members.stream().filter(m -> PanelState.of(sheet, m) == PanelState.BARE).map(Panel::name).toList();
        if (bare.isEmpty()) return "Covers all " + members.size() + " panels.";
        String names = String.join(", ", bare.subList(0, Math.min(3, bare.size())));
        return bare.size() == 1 ? names + " is bare." : names + (bare.size() > 3 ? " and " + (bare.size() - 3) + " more are bare." : " are bare.");
    }
}
