package plainlantern.checking;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.Edit;
import plainlantern.editing.MovePanels;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Limits;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** A sheet under examination, with what several checks ask for computed once. */
final class Checked {
    private final Sheet sheet;
    private final Map<String, Legibility> read;
    private final List<Panel> panels;
    private final Map<String, List<Shown>> shown = new HashMap<>();
    private final Map<String, Path> forms = new HashMap<>();
    private final Map<String, Box> boxes = new HashMap<>();

    Checked(Sheet sheet, Map<String, Legibility> read) {
        this.sheet = sheet;
        this.read = read;
        panels = sheet.panels().stream().filter(p -> !p.hidden()).toList();
    }

    /** A picture as a panel shows it, one of its own or of a vista. */
    record Shown(Panel panel, int layer, OwnPicture own, Picture picture, Sitting sitting, Coverage coverage) {
        /** Where its focal point is in the panel's own frame, where somebody confirmed one. */
        Optional<Point> focal() {
            return picture.focal().filter(focal -> !focal.proposed()).map(focal -> FocalPlace.now(sitting, own.placement(), focal));
        }
    }

    /** Words in the panel that they are set in. */
    record Lettered(Panel panel, Words words) {}

    Sheet sheet() {
        return sheet;
    }

    Limits limits() {
        return sheet.limits();
    }

    /** What is delivered, from back to front. */
    List<Panel> panels() {
        return panels;
    }

    /** How well the words of captions can be read, by element, where their pixels were looked at. */
    Map<String, Legibility> read() {
        return read;
    }

    /** All pictures that are delivered, from back to front. */
    List<Shown> pictures() {
        return panels.stream().flatMap(p -> shown(p).stream()).toList();
    }

    /** All words that are delivered, from back to front. */
    List<Lettered> words() {
        return panels.stream().flatMap(p -> p.shown().stream().filter(Words.class::isInstance).map(layer -> new Lettered(p, (Words) layer)))
                .toList();
    }

    List<Shown> shown(Panel panel) {
        return shown.computeIfAbsent(panel.id(), id -> {
            List<Shown> all = new ArrayList<>();
            for (int at = 0; at < panel.content().size(); at++) {
                if (!panel.content().get(at).pictured() || panel.content().get(at).look().off()) continue;
                OwnPicture own = Vistas.shown(sheet, panel, at).orElseThrow();
                Picture picture = sheet.picture(own.picture());
                Sitting sitting = Sitting.of(panel, picture);
                all.add(new Shown(panel, at, own, picture, sitting, Coverage.of(sitting, own.placement())));
            }
            return all;
        });
    }

    Fault fault(Weight weight, Panel panel, String says) {
        return fault(weight, panel, says, Optional.empty());
    }

    Fault fault(Weight weight, Panel panel, String says, Edit mend) {
        return fault(weight, panel, says, Optional.of(mend));
    }

    /** A fault of one element, with the edit that makes it good, where there is one. */
    Fault fault(Weight weight, Panel panel, String says, Optional<Edit> mend) {
        return new Fault(weight, List.of(panel.id()), says, box(panel), mend);
    }

    /** The edit that moves an element by so many mm, where it may be moved. */
    static Optional<Edit> moved(Panel panel, double dx, double dy) {
        return panel.locked() ? Optional.empty() : Optional.of(MovePanels.along(List.of(panel.id()), dx, dy));
    }

    /** The element's form on the sheet. */
    Path form(Panel panel) {
        return forms.computeIfAbsent(panel.id(), id -> panel.pathOnSheet());
    }

    /** The upright box around it on the sheet. */
    Box box(Panel panel) {
        return boxes.computeIfAbsent(panel.id(), id -> form(panel).bounds());
    }

    /** "1.20 mm", in the sheet's unit. */
    String length(double mm) {
        return sheet.length(mm);
    }

    /** Whether its sides are level and upright, so that edges can be compared. */
    static boolean upright(Panel panel) {
        double off = Math.abs(panel.seat().turn() % 90);
        return off < 1e-6 || off > 90 - 1e-6;
    }
}
