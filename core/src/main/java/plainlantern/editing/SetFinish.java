package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Look;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Role;
import plainlantern.sheet.Sheet;

/**
 * Sets the rim of panels, their soft edge, their opacity and their blend mode; what is absent stays.
 *
 * @param width   of the rim, mm; 0 takes it away
 * @param feather of the soft edge, mm; 0 makes it hard
 */
@JsonTypeName("set-finish")
public record SetFinish(List<String> panels, @Typed.OptionalLength OptionalDouble width, Optional<Colour> colour, Optional<Rim.Side> side, Optional<Rim.Dash> dash,
                        Optional<Rim.Join> join, Optional<Rim.Ends> ends, @Typed.OptionalLength OptionalDouble feather, @Typed.OptionalShare Optional<Double> opacity, Optional<Blend> blend) implements Edit {
    public SetFinish {
        BadInput.unless(width.isEmpty() || width.getAsDouble() >= 0, "width", "A rim cannot be thinner than nothing. 0 takes it away.");
    }

    /** Sets the width of the rim alone, mm. */
    public static SetFinish wide(List<String> panels, double width) {
        return new SetFinish(panels, OptionalDouble.of(width), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), OptionalDouble.empty(),
                Optional.empty(), Optional.empty());
    }

    @Override
    public Sheet apply(Sheet before) {
        boolean none = width.isPresent() && width.getAsDouble() == 0;
        BadInput.unless(!none || before.panels(panels).stream().noneMatch(p -> p.role() == Role.RULE), "width", "A rule needs a width. Delete takes it off the sheet.");
        return Finishes.changing(before, panels, finish -> changed(finish, Rim.FIRST.wide(before.even(Rim.FIRST.width()))));
    }

    private Finish changed(Finish was, Rim first) {
        Finish finish = was.feathered(feather.orElse(was.feather()));
        Look look = finish.look().with(opacity, blend);
        boolean meant = width.isPresent() || colour.isPresent() || side.isPresent() || dash.isPresent() || join.isPresent() || ends.isPresent();
        if (width.isPresent() && width.getAsDouble() == 0) return finish.rimmed(Optional.empty()).looking(look);
        if (!meant) return finish.looking(look);
        Rim rim = finish.rim().orElse(first);
        return finish.rimmed(Optional.of(new Rim(width.orElse(rim.width()), colour.orElse(rim.colour()), side.orElse(rim.side()), dash.orElse(rim.dash()), join.orElse(rim.join()), ends.orElse(rim.ends()))))
                .looking(look);
    }

    @Override
    public String title(Sheet before) {
        String what = feather.isPresent() ? "Soft edge" : opacity.isPresent() ? "Opacity" : blend.isPresent() ? "Blend: " + blend.get()
                .title() : width.isPresent() && width.getAsDouble() == 0 ? "No rim" : "Rim";
        return Titles.of(what, before, panels);
    }
}
