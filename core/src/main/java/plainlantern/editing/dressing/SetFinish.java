package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Looks;
import plainlantern.editing.Titles;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Look;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Sheet;

/**
 * Sets the rim of panels, their soft edge, their opacity and their blend mode.
 *
 * @param set of {@link Rim}, of {@link Finish} its {@code feather}, and of {@link Look}, see {@link Changes}; a width of 0 takes the rim
 *            away
 */
@JsonTypeName("set-finish")
public record SetFinish(List<String> panels, @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements DressingEdit {
    private static final List<String> RIM = List.of("width", "colour", "side", "dash", "join", "ends");
    private static final List<String> LOOK = List.of("opacity", "blend");
    private static final String FEATHER = "feather";

    public SetFinish {
        set = Changes.only(set, Stream.of(RIM, LOOK, List.of(FEATHER)).flatMap(List::stream).toList());
    }

    /** Sets the width of the rim alone, mm. */
    public static SetFinish wide(List<String> panels, double width) {
        return new SetFinish(panels, Map.of("width", width));
    }

    @Override
    public Sheet apply(Sheet before) {
        Rim first = Rim.FIRST.wide(before.even(Rim.FIRST.width()));
        boolean bare = gone(before) && before.elements(panels).stream().anyMatch(e -> e.rule().isPresent());
        BadInput.unless(!bare, "width", "A rule needs a width. Delete takes it off the sheet.");
        return Finishes.changing(before, panels, finish -> changed(finish, first, before));
    }

    /** Whether a width of nothing is asked for, which takes the rim away. */
    private boolean gone(Sheet sheet) {
        double width = Changes.onto(new Width(1), set, sheet).width();
        BadInput.unless(width >= 0, "width", "A rim cannot be thinner than nothing. 0 takes it away.");
        return width == 0;
    }

    /** A width as it was typed. */
    record Width(@Typed.Length double width) {}

    private Finish changed(Finish was, Rim first, Sheet sheet) {
        Finish finish = Changes.onto(was, set, sheet).looking(Changes.onto(was.look(), set, sheet));
        if (gone(sheet)) return finish.rimmed(Optional.empty());
        return Changes.any(set, RIM) ? finish.rimmed(Optional.of(Changes.onto(finish.rim().orElse(first), set, sheet))) : finish;
    }

    @Override
    public String title(Sheet before) {
        String what = set.containsKey(FEATHER) ? "Soft edge" : Changes.any(set, LOOK) ? Looks.title(Look.PLAIN, set, before)
                : gone(before) ? "No rim" : "Rim";
        return Titles.of(what, before, panels);
    }
}
