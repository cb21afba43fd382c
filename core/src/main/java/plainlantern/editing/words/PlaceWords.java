package plainlantern.editing.words;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.OptionalDouble;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.editing.Turns;
import plainlantern.editing.filling.Layers;
import plainlantern.geometry.Point;
import plainlantern.sheet.Content;
import plainlantern.sheet.Sheet;

/**
 * Lays free words elsewhere in their panel; what is absent stays.
 *
 * @param across mm from the middle of the panel to the middle of the words, along the panel's own axes
 * @param down   likewise
 * @param turn   degrees, clockwise
 */
@JsonTypeName("place-words")
public record PlaceWords(List<String> panels, @Typed.Layer int layer, @Typed.OptionalLength OptionalDouble across,
        @Typed.OptionalLength OptionalDouble down, @Typed.OptionalNumber OptionalDouble turn) implements WordsEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Content::words, words -> {
            Point centre = new Point(across.orElse(words.centre().x()), down.orElse(words.centre().y()));
            return words.at(centre, turn.isPresent() ? Turns.normal(turn.getAsDouble()) : words.turn());
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move words", before, panels);
    }
}
