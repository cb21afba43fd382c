package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.editing.Changes;
import plainlantern.editing.placing.LayOut;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetFormat;

/**
 * Changes what the sheet is. On a sheet measured in pixels another ppi keeps the number of pixels of everything.
 *
 * @param panels what becomes of what is on it when the size changes
 * @param agreed whether content may be lost where patterns are laid again
 * @param set    of {@link SheetFormat} and of {@link Margins}, see {@link Changes}
 */
@JsonTypeName("set-up-sheet")
public record SetUpSheet(Optional<Then> panels, @Typed.Switch boolean agreed, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements SheetEdit {
    private static final List<String> MARGINS = List.of("top", "right", "bottom", "left");
    private static final List<String> FORMAT = List.of("unit", "width", "height", "ppi", "bleed");

    /** What becomes of elements, margins and guides when the sheet gets another size. */
    public enum Then implements Choice {
        /** They stay where they are, measured from the upper left. */
        LEAVE,
        /** They grow and shrink with the sheet. */
        SCALE,
        /** Patterns are laid again on the new sheet; other elements stay. */
        AGAIN
    }

    public SetUpSheet {
        set = Changes.only(set, Stream.concat(FORMAT.stream(), MARGINS.stream()).toList());
    }

    @Override
    public SetUpSheet agreedTo() {
        return new SetUpSheet(panels, true, set);
    }

    @Override
    public Sheet apply(Sheet before) {
        SheetFormat asked = Changes.onto(before.format(), set, before).withMargins(Changes.onto(before.margins(), set, before));
        boolean pixels = asked.unit() == Unit.PX && before.unit() == Unit.PX && asked.ppi() != before.ppi();
        Then then = pixels ? Then.SCALE : panels.orElse(Then.LEAVE);
        if (pixels) asked = asked.sized(asked.width() * before.ppi() / asked.ppi(), asked.height() * before.ppi() / asked.ppi());
        SheetFormat format = then == Then.SCALE ? grown(before.format(), asked) : asked;
        boolean across = set.containsKey("left") || set.containsKey("right");
        if (format.area().isEmpty()) throw new BadInput(across ? "left" : "top", "These margins leave nothing of the sheet.");
        if (then == Then.SCALE) return Growing.grown(before, format);
        return then == Then.AGAIN ? again(before.with(format)) : before.with(format);
    }

    /** Margins and bleed that nobody typed grow with the sheet. */
    private SheetFormat grown(SheetFormat was, SheetFormat is) {
        Margins m = is.margins();
        double fx = is.width() / was.width();
        double fy = is.height() / was.height();
        Margins margins = new Margins(grown("top", m.top(), fy), grown("right", m.right(), fx), grown("bottom", m.bottom(), fy),
                grown("left", m.left(), fx));
        return is.withMargins(margins).bleeding(grown("bleed", is.bleed(), Math.min(fx, fy)));
    }

    private double grown(String name, double length, double factor) {
        return set.containsKey(name) ? length : length * factor;
    }

    private Sheet again(Sheet sheet) {
        Sheet now = sheet;
        for (Layout layout : sheet.layouts()) {
            List<String> there = layout.panels().stream().filter(id -> sheet.find(id).isPresent()).limit(1).toList();
            if (!there.isEmpty()) now = LayOut.again(layout.pattern(), there, agreed).apply(now);
        }
        return now;
    }

    @Override
    public String title(Sheet before) {
        return "Set up sheet";
    }
}
