package plainlantern.editing.words;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.editing.filling.Layers;
import plainlantern.lettering.LetterStyle;
import plainlantern.sheet.Content;
import plainlantern.lettering.LetterStyle;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Words;

/**
 * Changes words in panels: what they say, their letters and their colour.
 *
 * @param set of {@link Words} and {@link LetterStyle}, see {@link Changes}
 */
@JsonTypeName("set-words")
public record SetWords(List<String> panels, @Typed.Layer int layer, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements WordsEdit {
    public SetWords {
        set = Changes.only(set, List.of("text", "colour", "typeface", "weight", "size", "side", "leading", "tracking"));
    }

    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Content::words, words ->
                Changes.onto(words, set, before).styled(styled(words.style(), before)));
    }

    /** Another typeface comes in its usual weight where the one before stood in its own. */
    private LetterStyle styled(LetterStyle was, Sheet sheet) {
        boolean usual = set.containsKey("typeface") && !set.containsKey("weight") && was.weight() == was.typeface().nearest(0);
        LetterStyle now = Changes.onto(was, set, sheet);
        return usual ? new LetterStyle(now.typeface(), now.size(), now.side(), now.leading(), now.tracking()) : now;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Words", before, panels);
    }
}
