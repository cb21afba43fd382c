package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.PanelState;
import plainlantern.geometry.Box;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/**
 * What the bench shows of the selected panels. A field is empty where the panels differ.
 */
public record SelectionView(List<Panel> panels, String title, String left, String top, String width, String height, String turn,
                            String outline, List<String> radii, Optional<PictureView> picture) {
    /** How the pictures of the selection sit; numbers are of the first panel that has a picture. */
    public record PictureView(String name, String fit, String across, String down, String zoom, double zoomNumber, String turn,
                              double turnNumber, boolean held, Coverage coverage, String verdict, String room,
                              String ppi, boolean soft, String target) {}

    static SelectionView of(Sheet sheet, Collection<String> selected) {
        List<Panel> panels = sheet.panels().stream().filter(p -> selected.contains(p.id())).toList();
        if (panels.isEmpty()) return new SelectionView(panels, "", "", "", "", "", "", "", List.of(), Optional.empty());
        Numbers numbers = new Numbers(sheet);
        Box box = Box.union(panels.stream().map(Panel::boundsOnSheet).toList());
        String title = panels.size() == 1 ? panels.get(0).name() : panels.size() + " panels";
        return new SelectionView(panels, title, numbers.length(box.x()), numbers.length(box.y()),
                common(panels, p -> numbers.length(p.seat().width())), common(panels, p -> numbers.length(p.seat().height())),
                common(panels, p -> numbers.degrees(p.seat().turn())), common(panels, p -> p.outline().label()),
                radii(numbers, panels), panels.stream().filter(p -> p.picture().isPresent()).findFirst().map(p -> picture(sheet, p)));
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

    private static PictureView picture(Sheet sheet, Panel panel) {
        OwnPicture own = panel.picture().orElseThrow();
        Coverage c = PanelState.coverage(sheet, panel).orElseThrow();
        Numbers n = new Numbers(sheet);
        String verdict = c.covered() ? "Covers the panel." : n.percent(c.bareShare()) + " of the panel is bare.";
        boolean soft = c.softer(sheet.ppi());
        var p = own.placement();
        return new PictureView(sheet.picture(own.picture()).name(), own.fit().label(), n.length(p.centre().x()), n.length(p.centre().y()),
                n.percent(c.zoom()), c.zoom() * 100, n.degrees(p.turn()), p.turn(), own.held(), c, verdict, n.room(c),
                n.ppi(c.ppi()), soft, n.ppi(sheet.ppi()));
    }
}
