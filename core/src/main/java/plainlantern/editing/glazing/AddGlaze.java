package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.editing.Added;
import plainlantern.editing.Titles;
import plainlantern.geometry.Box;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Element;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Lays a glaze over the whole sheet, or over or under elements: in the form of one, or in the box around several. One that lies under them
 * is blurred, as a frosted plate is; the others are clear at first.
 *
 * @param panels not asked for where the glaze lies over the whole sheet
 */
@JsonTypeName("add-glaze")
public record AddGlaze(Where where, List<String> panels) implements GlazingEdit {
    /** How much is blurred at first, as a share of the plate's shorter side. */
    private static final double FROSTED = 0.08;
    private static final double MOST_FROSTED = 3;

    /** Where it lies. */
    public enum Where implements Choice { SHEET, OVER, UNDER }

    public AddGlaze {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    @Override
    public Sheet apply(Sheet before) {
        int number = before.lastId() + 1;
        String name = "Glaze " + number;
        if (where == Where.SHEET) {
            Seat seat = Seat.upright(before.bounds().centre(), before.width(), before.height());
            return before.adding(Glaze.of(Basics.of("p" + number, name, seat), Rectangle.SHARP).covering(true));
        }
        List<Element> chosen = before.elements(panels);
        BadInput.unless(!chosen.isEmpty(), "panels", "Select what the glaze is to lie " + where.label() + " first.");
        Optional<Holder> one = chosen.size() == 1 ? chosen.get(0).holder() : Optional.empty();
        Outline outline = one.map(Holder::outline).orElse(Rectangle.SHARP);
        Seat seat = one.map(Holder::seat).orElseGet(() -> around(chosen));
        Glaze clear = Glaze.of(Basics.of("p" + number, name, seat), outline);
        Glaze glaze = where == Where.OVER ? clear : clear.seeing(new Through(Math.min(MOST_FROSTED,
                Math.min(seat.width(), seat.height()) * FROSTED), 0, 0, Optional.empty()));
        List<Element> next = new ArrayList<>(before.elements());
        List<Integer> at = chosen.stream().map(next::indexOf).sorted().toList();
        next.add(where == Where.OVER ? at.get(at.size() - 1) + 1 : at.get(0), glaze);
        return before.with(next, number);
    }

    private static Seat around(List<Element> elements) {
        Box box = Box.union(elements.stream().map(Element::boundsOnSheet).toList());
        return Seat.upright(box.centre(), Math.max(Seat.THINNEST, box.width()), Math.max(Seat.THINNEST, box.height()));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return where == Where.SHEET ? "Glaze over the sheet" : Titles.of("Glaze " + where.label(), before, panels);
    }
}
