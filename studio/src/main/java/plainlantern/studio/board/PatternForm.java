package plainlantern.studio.board;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.geometry.Box;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Pattern;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/**
 * The form for a pattern.
 *
 * @param where   what it may become of the sheet
 * @param seeded  whether chance makes it
 * @param merged  merged cells as JSON, empty for all but grids
 * @param margins top, right, bottom, left as people read them; empty where the pattern lies in an area of its own
 */
public record PatternForm(String kind, String label, List<Fields.Field> fields, Where where, boolean seeded, String merged,
        List<String> margins) {
    /**
     * @param again  whether the selection came from this pattern, whose numbers then stand in the fields
     * @param inside whether exactly one panel is selected, which the pattern may fill
     * @param filled whether there are panels already
     */
    public record Where(boolean again, boolean inside, boolean filled) {}

    /** The form for a kind; with {@code again}, for the pattern that the selection came from. Throws {@link BadInput}. */
    static PatternForm of(Sheet sheet, String kind, Collection<String> selected) {
        List<Element> panels = sheet.elements().stream().filter(p -> selected.contains(p.id())).toList();
        Optional<Layout> layout = panels.stream().flatMap(p -> sheet.layoutOf(p.id()).stream()).findFirst();
        boolean again = kind.equals("again");
        Class<? extends Pattern> type = again ? layout.orElseThrow(() -> new BadInput("These panels did not come from a pattern."))
                .pattern().getClass()
                : Pattern.KINDS.stream().filter(k -> name(k).equals(kind)).findFirst()
                        .orElseThrow(() -> new BadInput("There is no pattern " + kind + "."));
        Optional<Pattern> numbers = again ? layout.map(Layout::pattern) : Optional.empty();
        Numbers n = new Numbers(sheet);
        boolean inside = panels.size() == 1 && !again && panels.get(0).holder().map(Holder::takesPictures).orElse(false);
        var fields = Fields.of(type, numbers.map(Record.class::cast), n, shorter(sheet, panels, inside));
        var m = sheet.margins();
        boolean own = again && layout.flatMap(Layout::area).isPresent();
        String merged = type != EvenGrid.class ? "" : SheetJson.MAPPER.writeValueAsString(numbers.map(p -> ((EvenGrid) p).merged())
                .orElse(List.of()));
        return new PatternForm(name(type), Gallery.PATTERNS.stream().filter(c -> c.kind().equals(name(type))).findFirst()
                .orElseThrow().label(), fields,
                new Where(again, inside, !sheet.panels().isEmpty()), fields.stream().anyMatch(f -> f.name().equals("seed")), merged,
                own ? List.of() : List.of(n.bare(m.top()), n.bare(m.right()), n.bare(m.bottom()), n.bare(m.left())));
    }

    private static double shorter(Sheet sheet, List<Element> panels, boolean inside) {
        if (inside) {
            Seat seat = panels.get(0).seat();
            return Math.min(seat.width(), seat.height());
        }
        Box area = sheet.area().orElse(sheet.bounds());
        return Math.min(area.width(), area.height());
    }

    private static String name(Class<? extends Pattern> type) {
        return type.getAnnotation(JsonTypeName.class).value();
    }
}
