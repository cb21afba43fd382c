package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import plainlantern.arranging.Cutting;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Divides panels by a straight line. Both sides keep what the panel shows, in place.
 *
 * @param gap    mm between the sides
 * @param panels the panels to divide; empty means all that the way from (x1, y1) to (x2, y2) crosses
 */
@JsonTypeName("cut")
public record Cut(double x1, double y1, double x2, double y2, @Typed.Length double gap, List<String> panels) implements FormEdit {
    private static final double SHORTEST = 0.5;

    public Cut {
        panels = panels == null ? List.of() : List.copyOf(panels);
        BadInput.unless(gap >= 0, "gap", "A gap cannot be negative.");
        BadInput.unless(gap <= 500, "gap", "A gap is at most 500 mm wide.");
        BadInput.unless(Math.hypot(x2 - x1, y2 - y1) >= SHORTEST, "cut", "Draw a longer line to cut with.");
        for (double at : new double[] {x1, y1, x2, y2})
            BadInput.unless(Math.abs(at) <= Seat.LARGEST, "cut", "A cut stays within 10 m of the sheet.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Point a = new Point(x1, y1);
        Point b = new Point(x2, y2);
        Set<String> wanted = new HashSet<>(panels);
        if (!panels.isEmpty()) before.free(panels);
        List<Element> next = new ArrayList<>();
        Set<String> names = new HashSet<>(before.elements().stream().map(Element::name).toList());
        int lastId = before.lastId();
        int cut = 0;
        for (Element element : before.elements()) {
            Optional<List<Path>> halves = Optional.empty();
            Optional<Holder> meant = element.holder().filter(p -> p.takesPictures() && !p.locked() && !p.hidden())
                    .filter(p -> wanted.isEmpty() ? Cutting.crosses(p, a, b) && !Cutting.overshoots(p, a, b)
                            : wanted.contains(p.id()) && Cutting.crosses(p, a, b));
            if (meant.isPresent()) halves = Cutting.halves(meant.get(), a, b, gap);
            if (halves.isEmpty()) {
                next.add(element);
                continue;
            }
            Holder panel = meant.get();
            cut++;
            lastId++;
            next.add(Refit.shaped(before, panel, halves.get().get(0)));
            Holder other = Refit.shaped(before, panel, halves.get().get(1)).copied("p" + lastId, Titles.next(names, panel.name()))
                    .grouped(panel.group());
            next.add(other);
            names.add(other.name());
        }
        BadInput.unless(cut > 0, "cut", panels.isEmpty() ? "The line crosses no panel, or leaves nothing on one side."
                : "The line does not divide the selected panels.");
        return before.with(next, lastId);
    }

    /** Halves join what is selected, so that the next cut divides them too. */
    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return selected.isEmpty() ? selected : Added.besides(selected, before, after);
    }

    @Override
    public String title(Sheet before) {
        return "Cut";
    }
}
