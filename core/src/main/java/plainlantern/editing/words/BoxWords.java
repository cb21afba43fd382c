package plainlantern.editing.words;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.editing.filling.Layers;
import plainlantern.sheet.Content;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Words.Boxed;
import plainlantern.sheet.Words.Lie;

/**
 * Sets words in the box of their panel, or lays them free.
 *
 * @param boxed whether they are in the box; absent means yes
 * @param set   of {@link Boxed}, see {@link Changes}
 */
@JsonTypeName("box-words")
public record BoxWords(List<String> panels, @Typed.Layer int layer, Optional<Boolean> boxed,
        @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements WordsEdit {
    /** Words that are put into a box: no padding, in the middle. */
    private static final Boxed FIRST = new Boxed(0, Lie.MIDDLE);

    public BoxWords {
        set = Changes.only(set, List.of("padding", "lie"));
    }

    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Content::words, words -> words.boxed(boxed.orElse(true)
                ? Optional.of(Changes.onto(words.boxed().orElse(FIRST), set, before)) : Optional.empty()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(boxed.orElse(true) ? "Words in the box" : "Words free", before, panels);
    }
}
