package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.arranging.PatternArea;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.editing.AskFirst;
import plainlantern.editing.Foreseen;
import plainlantern.editing.Laid;
import plainlantern.editing.filling.FillPanels;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Box;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Lays a pattern. Panels that it takes over get the pieces in their order and keep name and content; what would lose content asks first.
 *
 * @param where   which panels the pattern takes over, and where it lies
 * @param panels  the selection, for {@link Where#INSIDE} and {@link Where#AGAIN}
 * @param margins new margins of the sheet; absent leaves them
 * @param area    a box on the sheet to lay it in; absent means inside the margins
 * @param agreed  whether content may be lost
 */
@JsonTypeName("lay-out")
public record LayOut(Pattern pattern, Where where, List<String> panels, Optional<Margins> margins, Optional<Box> area,
                     @Typed.Switch boolean agreed) implements PlacingEdit {
    /** What becomes of the panels that are there. */
    public enum Where implements Choice {
        /** All panels that are not locked become the pattern's. */
        REPLACE,
        /** They stay, the pattern comes on top. */
        ADD,
        /** The one selected panel becomes the pattern, which fills its form. */
        INSIDE,
        /** The pattern that the selected panel came from, with these numbers. */
        AGAIN
    }

    public LayOut {
        panels = panels == null ? List.of() : List.copyOf(panels);
        BadInput.unless(pattern != null && where != null, "pattern", "Choose a pattern first.");
        area.ifPresent(box -> {
            Box reach = box.union(new Box(0, 0, 0, 0));
            BadInput.unless(box.shorter() >= Seat.THINNEST, "pattern", "Draw a larger area on the sheet.");
            BadInput.unless(Math.max(reach.width(), reach.height()) <= Seat.LARGEST, "pattern", "The area stays within 10 m of the sheet.");
        });
    }

    /** The pattern inside the sheet's margins, in place of what is there. */
    public static LayOut replacing(Pattern pattern, Margins margins) {
        return new LayOut(pattern, Where.REPLACE, List.of(), Optional.of(margins), Optional.empty(), false);
    }

    /** The pattern that a panel came from, laid again. */
    public static LayOut again(Pattern pattern, List<String> panel, boolean agreed) {
        return new LayOut(pattern, Where.AGAIN, panel, Optional.empty(), Optional.empty(), agreed);
    }

    /** The sheet with the new margins. */
    private Sheet framed(Sheet before) {
        return margins.isPresent() ? before.withMargins(margins.get()) : before;
    }

    /** Where the pattern would lie. Throws {@link BadInput} where margins leave nothing, or the selection is not one panel. */
    public PatternArea field(Sheet before) {
        if (where == Where.INSIDE) return PatternArea.of(only(before));
        if (where == Where.AGAIN) return field(framed(before), again(before));
        return area.map(PatternArea::of).orElseGet(() -> inside(framed(before)));
    }

    public static PatternArea field(Sheet sheet, Layout layout) {
        return layout.area().map(box -> new PatternArea(box, layout.turn(), layout.within())).orElseGet(() -> inside(sheet));
    }

    private static PatternArea inside(Sheet sheet) {
        Margins m = sheet.margins();
        return PatternArea.of(sheet.area().orElseThrow(() ->
                new BadInput(m.left() + m.right() >= sheet.width() ? "left" : "top", "These margins leave nothing of the sheet.")));
    }

    /** The one panel that the pattern fills; a float becomes one. */
    private Panel only(Sheet sheet) {
        BadInput.unless(panels.size() == 1 && sheet.takers(panels).size() == 1, "pattern",
                "Select the one panel that the pattern is to fill.");
        Holder only = sheet.free(panels).get(0).holder().orElseThrow();
        return new Panel(only.basics(), only.outline(), only.content());
    }

    private Layout again(Sheet sheet) {
        return panels.stream().flatMap(id -> sheet.layoutOf(id).stream()).findFirst()
                .orElseThrow(() -> new BadInput("pattern", "These panels did not come from a pattern."));
    }

    /** The panels that the pattern takes over, in its order; empty places for those that are no longer there. */
    private List<Optional<Panel>> taken(Sheet sheet) {
        return switch (where) {
            case ADD -> List.of();
            case INSIDE -> List.of(Optional.of(only(sheet)));
            case AGAIN -> again(sheet).panels().stream().map(id -> sheet.find(id).flatMap(Element::panel)).toList();
            case REPLACE -> sheet.panels().stream().filter(p -> !p.locked()).map(Optional::of).toList();
        };
    }

    @Override
    public LayOut agreedTo() {
        return new LayOut(pattern, where, panels, margins, area, true);
    }

    @Override
    public Sheet apply(Sheet before) {
        Sheet framed = framed(before);
        PatternArea field = field(before);
        List<Piece> pieces = field.pieces(pattern, framed);
        BadInput.unless(!pieces.isEmpty(), "pattern", "No piece of this pattern falls into the panel.");
        List<Optional<Panel>> taken = taken(before);
        if (!agreed) lost(taken, pieces.size()).ifPresent(what -> {
            throw new AskFirst(what);
        });
        Map<String, Outline> givenBefore = where == Where.AGAIN ? given(before, again(before)) : Map.of();
        Map<String, Element> changed = new HashMap<>();
        List<Element> added = new ArrayList<>();
        List<String> ids = new ArrayList<>();
        int lastId = before.lastId();
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            Optional<Panel> there = i < taken.size() ? taken.get(i) : Optional.empty();
            Holder panel = there.isPresent() ? over(before, there.get(), piece, field.seat(piece), givenBefore.get(there.get().id()))
                    : Panel.empty("p" + ++lastId, name(before, i), piece.outline(), field.seat(piece));
            if (there.isPresent()) changed.put(panel.id(), filled(before, panel, piece));
            else added.add(filled(before, panel, piece));
            ids.add(panel.id());
        }
        Set<String> gone = new HashSet<>();
        for (Optional<Panel> panel : taken) panel.filter(p -> !changed.containsKey(p.id())).ifPresent(p -> gone.add(p.id()));
        return framed.with(elements(before, changed, added, gone), lastId).withLayouts(layouts(before, field, ids, gone));
    }

    /** A panel as that piece. Pieces are not mirrored: what a mirrored panel shows is, so that it looks the same. */
    private Holder over(Sheet sheet, Panel panel, Piece piece, Seat seat, Outline given) {
        Holder was = panel.seat().mirrored() ? Refit.flipped(panel) : panel;
        Outline outline = where != Where.INSIDE && keepsForm(panel, piece, given) ? was.outline() : piece.outline();
        return Refit.resized(sheet, was, was.withOutline(outline).withSeat(seat));
    }

    private static Optional<String> lost(List<Optional<Panel>> taken, int places) {
        List<String> lost = new ArrayList<>();
        for (int i = places; i < taken.size(); i++) taken.get(i).filter(p -> !p.content().isEmpty()).ifPresent(p -> lost.add(p.name()));
        if (lost.isEmpty()) return Optional.empty();
        String names = lost.stream().limit(3).collect(Collectors.joining(", "))
                + (lost.size() > 3 ? " and " + (lost.size() - 3) + " more" : "");
        String who = lost.size() == 1 ? "One filled panel has" : lost.size() + " filled panels have";
        return Optional.of(who + " no place in this layout and would go: " + names + ". What they show stays on the shelf.");
    }

    /** The forms that a layout gave its panels, to tell from those that a person gave them since. */
    private static Map<String, Outline> given(Sheet sheet, Layout layout) {
        Map<String, Outline> given = new HashMap<>();
        try {
            List<Piece> pieces = field(sheet, layout).pieces(layout.pattern(), sheet);
            for (int i = 0; i < Math.min(pieces.size(), layout.panels().size()); i++)
                given.put(layout.panels().get(i), pieces.get(i).outline());
        } catch (BadInput nothing) {
            // Its shelf or its area has changed so that it gives nothing now: then nothing is known of what it gave.
        }
        return given;
    }

    /** A form that a person chose stays: one that differs from what the layout gave, or any in a grid that was not one before. */
    private static boolean keepsForm(Holder panel, Piece piece, Outline given) {
        return given != null ? !panel.outline().equals(given) : piece.outline().equals(Rectangle.SHARP) && piece.turn() == 0;
    }

    private static Holder filled(Sheet sheet, Holder panel, Piece piece) {
        boolean fills = piece.picture() >= 0 && piece.picture() < sheet.shelf().size() && panel.content().isEmpty();
        return fills ? FillPanels.filled(sheet, panel, sheet.shelf().get(piece.picture())) : panel;
    }

    private String name(Sheet before, int at) {
        if (where == Where.INSIDE) return only(before).name() + " " + (at + 1);
        return "Panel " + (where == Where.ADD ? before.panels().size() + at + 1 : at + 1);
    }

    /** Those taken over stay at their depth; new ones come in front of them. */
    private List<Element> elements(Sheet before, Map<String, Element> changed, List<Element> added, Set<String> gone) {
        List<Element> next = new ArrayList<>();
        int front = -1;
        for (Element element : before.elements()) {
            if (gone.contains(element.id())) continue;
            next.add(changed.containsKey(element.id()) ? changed.get(element.id()) : element);
            if (changed.containsKey(element.id())) front = next.size();
        }
        if (front >= 0 && where == Where.INSIDE) next.addAll(front, added);
        else for (Element element : added) next.add(Sheet.front(next, element), element);
        return next;
    }

    /** A panel belongs to one layout; layouts without a panel left are forgotten. */
    private List<Layout> layouts(Sheet before, PatternArea field, List<String> ids, Set<String> gone) {
        Set<String> moved = new HashSet<>(ids);
        moved.addAll(gone);
        boolean free = where != Where.INSIDE && area.isEmpty() && (where != Where.AGAIN || again(before).area().isEmpty());
        List<Layout> next = new ArrayList<>();
        for (Layout layout : before.layouts()) {
            if (where == Where.AGAIN && layout.equals(again(before))) continue;
            List<String> left = layout.panels().stream().map(id -> moved.contains(id) ? "" : id).toList();
            if (left.stream().anyMatch(id -> !id.isEmpty()))
                next.add(new Layout(layout.pattern(), layout.area(), layout.turn(), layout.within(), left));
        }
        next.add(new Layout(pattern, free ? Optional.empty() : Optional.of(field.box()), field.turn(), field.within(), ids));
        return next;
    }

    /** The pieces as they would lie, what is said of them and what would be lost; for level grids also the lines between cells. */
    @Override
    public Foreseen foreseen(Sheet before) {
        PatternArea field = field(before);
        List<Piece> pieces = field.pieces(pattern, before);
        boolean level = field.turn() == 0;
        Laid laid = new Laid(pieces.stream().map(field::onSheet).toList(), pattern.says(field.box(), pieces),
                lost(taken(before), pieces.size()), level ? pattern.across(field.box()) : List.of(), level
                        ? pattern.down(field.box()) : List.of());
        return new Foreseen(before, before, Optional.empty(), List.of(), Optional.of(laid));
    }

    @Override
    public String title(Sheet before) {
        return (where == Where.AGAIN ? "Change pattern: " : "Lay out: ") + pattern.label();
    }
}
