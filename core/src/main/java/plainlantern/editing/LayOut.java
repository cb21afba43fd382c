package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.arranging.Ground;
import plainlantern.fitting.Refit;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Choice;
import plainlantern.geometry.Box;
import plainlantern.geometry.Typed;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Element;
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
                     @Typed.Switch boolean agreed) implements Edit {
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

    /** The sheet with the new margins. */
    private Sheet framed(Sheet before) {
        return margins.isPresent() ? before.withMargins(margins.get()) : before;
    }

    /** Where the pattern would lie. Throws {@link BadInput} where margins leave nothing, or the selection is not one panel. */
    public Ground ground(Sheet before) {
        if (where == Where.INSIDE) return Ground.of(only(before));
        if (where == Where.AGAIN) return ground(framed(before), again(before));
        return area.map(Ground::of).orElseGet(() -> inside(framed(before)));
    }

    static Ground ground(Sheet sheet, Layout layout) {
        return layout.area().map(box -> new Ground(box, layout.turn(), layout.within())).orElseGet(() -> inside(sheet));
    }

    private static Ground inside(Sheet sheet) {
        Margins m = sheet.margins();
        return Ground.of(sheet.area().orElseThrow(() ->
                new BadInput(m.left() + m.right() >= sheet.width() ? "left" : "top", "These margins leave nothing of the sheet.")));
    }

    private Panel only(Sheet sheet) {
        BadInput.unless(panels.size() == 1, "pattern", "Select the one panel that the pattern is to fill.");
        return sheet.free(panels).get(0);
    }

    private Layout again(Sheet sheet) {
        return panels.stream().flatMap(id -> sheet.layoutOf(id).stream()).findFirst()
                .orElseThrow(() -> new BadInput("pattern", "These panels did not come from a pattern."));
    }

    /** The panels that the pattern takes over, in its order; empty places for those that are no longer there. */
    private List<Optional<Panel>> taken(Sheet sheet) {
        Map<String, Panel> byId = new HashMap<>();
        for (Panel panel : sheet.panels()) byId.put(panel.id(), panel);
        return switch (where) {
            case ADD -> List.of();
            case INSIDE -> List.of(Optional.of(only(sheet)));
            case AGAIN -> again(sheet).panels().stream().map(id -> Optional.ofNullable(byId.get(id))).toList();
            case REPLACE -> sheet.panels().stream().filter(p -> !p.locked()).map(Optional::of).toList();
        };
    }

    @Override
    public Sheet apply(Sheet before) {
        Sheet framed = framed(before);
        Ground ground = ground(before);
        List<Piece> pieces = ground.pieces(pattern, framed);
        BadInput.unless(!pieces.isEmpty(), "pattern", "No piece of this pattern falls into the panel.");
        List<Optional<Panel>> taken = taken(before);
        if (!agreed) lost(taken, pieces.size()).ifPresent(what -> {
            throw new AskFirst(what);
        });
        Map<String, Outline> givenBefore = where == Where.AGAIN ? given(before, again(before)) : Map.of();
        Map<String, Panel> changed = new HashMap<>();
        List<Panel> added = new ArrayList<>();
        List<String> ids = new ArrayList<>();
        int lastId = before.lastId();
        for (int i = 0; i < pieces.size(); i++) {
            Piece piece = pieces.get(i);
            Optional<Panel> there = i < taken.size() ? taken.get(i) : Optional.empty();
            Panel panel;
            if (there.isPresent()) {
                // Pieces are not mirrored: what a mirrored panel shows is, so that it looks the same.
                Panel was = there.get().seat().mirrored() ? Refit.flipped(there.get()) : there.get();
                Outline outline = where != Where.INSIDE && keepsForm(was, piece, givenBefore.get(was.id())) ? was.outline()
                        : piece.outline();
                panel = Refit.resized(before, was, was.withOutline(outline).withSeat(ground.seat(piece)));
                changed.put(was.id(), filled(before, panel, piece));
            } else {
                lastId++;
                panel = Panel.empty("p" + lastId, name(before, i), piece.outline(), ground.seat(piece));
                added.add(filled(before, panel, piece));
            }
            ids.add(panel.id());
        }
        Set<String> gone = new HashSet<>();
        for (Optional<Panel> panel : taken) panel.filter(p -> !changed.containsKey(p.id())).ifPresent(p -> gone.add(p.id()));
        return framed.with(elements(before, changed, added, gone), lastId).withLayouts(layouts(before, ground, ids, gone));
    }

    /** What of the panels' content would have no place among so many pieces, in words. */
    public Optional<String> lost(Sheet before, int places) {
        return lost(taken(before), places);
    }

    private static Optional<String> lost(List<Optional<Panel>> taken, int places) {
        List<String> lost = new ArrayList<>();
        for (int i = places; i < taken.size(); i++) taken.get(i).filter(p -> !p.content().isEmpty()).ifPresent(p -> lost.add(p.name()));
        if (lost.isEmpty()) return Optional.empty();
        String names = lost.stream().limit(3).collect(Collectors.joining(", ")) + (lost.size() > 3 ? " and " + (lost.size() - 3) + " more" : "");
        String who = lost.size() == 1 ? "One filled panel has" : lost.size() + " filled panels have";
        return Optional.of(who + " no place in this layout and would go: " + names + ". What they show stays on the shelf.");
    }

    /** The forms that a layout gave its panels, to tell from those that a person gave them since. */
    private static Map<String, Outline> given(Sheet sheet, Layout layout) {
        Map<String, Outline> given = new HashMap<>();
        try {
            List<Piece> pieces = ground(sheet, layout).pieces(layout.pattern(), sheet);
            for (int i = 0; i < Math.min(pieces.size(), layout.panels().size()); i++) given.put(layout.panels().get(i), pieces.get(i).outline());
        } catch (BadInput nothing) {
            // Its shelf or its area has changed so that it gives nothing now: then nothing is known of what it gave.
        }
        return given;
    }

    /** A form that a person chose stays: one that differs from what the layout gave, or any in a grid that was not one before. */
    private static boolean keepsForm(Panel panel, Piece piece, Outline given) {
        return given != null ? !panel.outline().equals(given) : piece.outline().equals(Rectangle.SHARP) && piece.turn() == 0;
    }

    private static Panel filled(Sheet sheet, Panel panel, Piece piece) {
        boolean fills = piece.picture() >= 0 && piece.picture() < sheet.shelf().size() && panel.content().isEmpty();
        return fills ? FillPanels.filled(sheet, panel, sheet.shelf().get(piece.picture())) : panel;
    }

    private String name(Sheet before, int at) {
        if (where == Where.INSIDE) return only(before).name() + " " + (at + 1);
        return "Panel " + (where == Where.ADD ? before.panels().size() + at + 1 : at + 1);
    }

    /** Those taken over stay at their depth; new ones come in front of them. */
    private List<Element> elements(Sheet before, Map<String, Panel> changed, List<Panel> added, Set<String> gone) {
        List<Element> next = new ArrayList<>();
        int front = -1;
        for (Element element : before.elements()) {
            if (gone.contains(element.id())) continue;
            next.add(changed.containsKey(element.id()) ? changed.get(element.id()) : element);
            if (changed.containsKey(element.id())) front = next.size();
        }
        next.addAll(front < 0 || where != Where.INSIDE ? next.size() : front, added);
        return next;
    }

    /** A panel belongs to one layout; layouts without a panel left are forgotten. */
    private List<Layout> layouts(Sheet before, Ground ground, List<String> ids, Set<String> gone) {
        Set<String> moved = new HashSet<>(ids);
        moved.addAll(gone);
        boolean free = where != Where.INSIDE && area.isEmpty() && (where != Where.AGAIN || again(before).area().isEmpty());
        List<Layout> next = new ArrayList<>();
        for (Layout layout : before.layouts()) {
            if (where == Where.AGAIN && layout.equals(again(before))) continue;
            List<String> left = layout.panels().stream().map(id -> moved.contains(id) ? "" : id).toList();
            if (left.stream().anyMatch(id -> !id.isEmpty())) next.add(new Layout(layout.pattern(), layout.area(), layout.turn(), layout.within(), left));
        }
        next.add(new Layout(pattern, free ? Optional.empty() : Optional.of(ground.box()), ground.turn(), ground.within(), ids));
        return next;
    }

    @Override
    public String title(Sheet before) {
        return (where == Where.AGAIN ? "Change pattern: " : "Lay out: ") + pattern.label();
    }
}
