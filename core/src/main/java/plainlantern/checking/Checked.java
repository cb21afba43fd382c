package plainlantern.checking;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.editing.placing.MovePanels;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Boxes;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Limits;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Words;

/** A sheet under examination, with what several checks ask for computed once. */
final class Checked {
    private final Sheet sheet;
    private final Told told;
    private final List<Element> elements;
    private final Map<String, List<Seen>> shown = new HashMap<>();
    private final Map<String, Path> forms = new HashMap<>();
    private final Map<String, Box> boxes = new HashMap<>();
    private Boxes places;

    Checked(Sheet sheet, Told told) {
        this.sheet = sheet;
        this.told = told;
        elements = sheet.elements().stream().filter(p -> !p.hidden()).toList();
    }

    /** A picture as a panel shows it, one of its own or of a vista. */
    record Seen(Holder panel, int layer, Shown shown, Sitting sitting, Coverage coverage) {
        /** Where its focal point is in the panel's own frame, where somebody confirmed one. */
        Optional<Point> focal() {
            return shown.picture().focal().filter(focal -> !focal.proposed()).map(focal -> shown.toPanel().apply(
                    new Point(focal.x() * sitting.width(), focal.y() * sitting.height())));
        }
    }

    /** Words in the panel that they are set in. */
    record Lettered(Holder panel, Words words) {}

    Sheet sheet() {
        return sheet;
    }

    Limits limits() {
        return sheet.limits();
    }

    /** What is delivered, from back to front. */
    List<Element> elements() {
        return elements;
    }

    /** Of what is delivered, what holds layers. */
    List<Holder> holders() {
        return elements.stream().flatMap(e -> e.holder().stream()).filter(h -> h.glaze().isEmpty()).toList();
    }

    /** Of what is delivered, what pictures are put into. */
    List<Holder> takers() {
        return holders().stream().filter(Holder::takesPictures).toList();
    }

    /** Of what is delivered, the placeholders. */
    List<Panel> panels() {
        return elements.stream().flatMap(e -> e.panel().stream()).toList();
    }

    /** What pixels tell, where they were looked at. */
    Told told() {
        return told;
    }

    /** All pictures that are delivered, from back to front. */
    List<Seen> pictures() {
        return holders().stream().flatMap(p -> shown(p).stream()).toList();
    }

    /** All words that are delivered, from back to front. */
    List<Lettered> words() {
        return holders().stream().flatMap(p -> p.shown().stream().flatMap(layer -> layer.words().stream())
                .map(words -> new Lettered(p, words)))
                .toList();
    }

    List<Seen> shown(Holder panel) {
        return shown.computeIfAbsent(panel.id(), id -> {
            List<Seen> all = new ArrayList<>();
            for (int at = 0; at < panel.content().size(); at++) {
                if (!panel.seen(at)) continue;
                Shown picture = Vistas.shown(sheet, panel, at).orElseThrow();
                Sitting sitting = Sitting.of(panel, picture);
                all.add(new Seen(panel, at, picture, sitting, Coverage.of(sitting, picture.pose())));
            }
            return all;
        });
    }

    Fault fault(Weight weight, Element panel, String says) {
        return fault(weight, panel, says, Optional.empty());
    }

    Fault fault(Weight weight, Element panel, String says, Edit mend) {
        return fault(weight, panel, says, Optional.of(mend));
    }

    /** A fault of one element, with the edit that makes it good, where there is one. */
    Fault fault(Weight weight, Element panel, String says, Optional<Edit> mend) {
        return new Fault(weight, List.of(panel.id()), says, box(panel), mend);
    }

    /** The edit that moves an element by so many mm, where it may be moved. */
    static Optional<Edit> moved(Element panel, double dx, double dy) {
        return panel.locked() ? Optional.empty() : Optional.of(MovePanels.along(List.of(panel.id()), dx, dy));
    }

    /** The element's form on the sheet. */
    Path form(Element panel) {
        return forms.computeIfAbsent(panel.id(), id -> panel.pathOnSheet());
    }

    /** The upright box around it on the sheet. */
    Box box(Element panel) {
        return boxes.computeIfAbsent(panel.id(), id -> form(panel).bounds());
    }

    /** The boxes of {@link #elements()}, by their numbers there. */
    Boxes places() {
        if (places == null) places = new Boxes(elements.stream().map(this::box).toList());
        return places;
    }

    /** "1.20 mm", in the sheet's unit. */
    String length(double mm) {
        return sheet.length(mm);
    }

    /** Whether its sides are level and upright, so that edges can be compared. */
    static boolean upright(Element panel) {
        double off = Math.abs(panel.seat().turn() % 90);
        return off < 1e-6 || off > 90 - 1e-6;
    }
}
