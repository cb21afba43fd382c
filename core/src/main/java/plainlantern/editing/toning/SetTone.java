package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Questions;
import plainlantern.editing.Changes;
import plainlantern.sheet.Balance;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.HueRange;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Texture;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Vignette;

/**
 * Sets values of the tone of pictures.
 *
 * @param part what the names are of: one of the hues, "table", "brightness", or absent for everything else, whose names are not used twice
 * @param set  of {@link Balance}, {@link Levels}, {@link Colouring}, {@link Vignette} and {@link Texture}, or of the part's record, see
 *             {@link Changes}
 */
@JsonTypeName("set-tone")
public record SetTone(Aim of, Optional<String> part, @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements ToningEdit {
    private static final String TABLE = "table";
    private static final String BRIGHTNESS = "brightness";
    private static final List<Questions.Question> ASKED = Stream.of(Balance.class, Levels.class, Colouring.class, Vignette.class,
            Texture.class).flatMap(type -> Questions.of(type).stream()).toList();
    private static final List<String> PLAIN = Stream.concat(ASKED.stream().map(Questions.Question::name), Stream.of("mono")).toList();

    public SetTone {
        part = part == null ? Optional.empty() : part;
        set = Changes.only(set, part.map(SetTone::names).orElse(PLAIN));
        BadInput.unless(!set.isEmpty(), "set", "Nothing is set.");
    }

    private static List<String> names(String part) {
        return switch (part) {
            case TABLE -> List.of("strength");
            case BRIGHTNESS -> List.of("stops", "strength", "blend");
            default -> {
                range(part);
                yield Questions.of(HueRange.class).stream().map(Questions.Question::name).toList();
            }
        };
    }

    private static HueRange.Name range(String label) {
        return Choice.called(label, HueRange.Name.values()).orElseThrow(() -> new BadInput("part", "There is no such part of a tone."));
    }

    @Override
    public Sheet apply(Sheet before) {
        return of.changing(before, tone -> changed(tone, before));
    }

    private Tone changed(Tone was, Sheet sheet) {
        if (part.isEmpty()) return was.balanced(Changes.onto(was.balance(), set, sheet)).levelled(Changes.onto(was.levels(), set, sheet))
                .coloured(Changes.onto(was.colouring(), set, sheet))
                .vignetted(Optional.of(Changes.onto(was.vignette().orElse(Vignette.FIRST), set, sheet)))
                .textured(Optional.of(Changes.onto(was.texture().orElse(Texture.FIRST), set, sheet)));
        if (part.get().equals(TABLE)) {
            ColourTable table = was.table().orElseThrow(() -> new BadInput("strength", "Choose a colour table first."));
            return was.tabled(Optional.of(Changes.onto(table, set, sheet)));
        }
        if (part.get().equals(BRIGHTNESS)) {
            ByBrightness stops = was.brightness().orElse(ByBrightness.GREY);
            return was.brightened(Optional.of(Changes.onto(stops, set, sheet)));
        }
        HueRange.Name range = range(part.get());
        return was.coloured(was.colouring().with(range, Changes.onto(was.colouring().hue(range), set, sheet)));
    }

    @Override
    public String title(Sheet before) {
        return of.title(what(), before);
    }

    private String what() {
        if (part.isEmpty()) {
            String name = set.keySet().iterator().next();
            return ASKED.stream().filter(q -> q.name().equals(name)).map(Questions.Question::label).findFirst().orElse("Black and white");
        }
        if (part.get().equals(TABLE)) return "Colour table";
        if (part.get().equals(BRIGHTNESS)) return "Colours by brightness";
        String hue = part.get();
        return hue.substring(0, 1).toUpperCase(Locale.ROOT) + hue.substring(1) + " colours";
    }
}
