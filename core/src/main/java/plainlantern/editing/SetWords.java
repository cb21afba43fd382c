package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content.Boxed;
import plainlantern.sheet.Content.Lie;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Sheet;

/**
 * Changes words in panels; what is absent stays.
 *
 * @param leading a share of the size
 * @param tracking thousandths of the size
 * @param boxed   whether they are set in the panel's box
 * @param across  mm from the middle of the panel to the middle of the words, along the panel's own axes
 * @param down    likewise
 */
@JsonTypeName("set-words")
public record SetWords(List<String> panels, @Typed.Layer int layer, Optional<String> text, Optional<Typeface> typeface, @Typed.OptionalLength OptionalDouble size,
                       Optional<Colour> colour, Optional<Setting.Side> side, @Typed.OptionalShare Optional<Double> leading, @Typed.OptionalNumber OptionalDouble tracking,
                       Optional<Boolean> boxed, @Typed.OptionalLength OptionalDouble padding, Optional<Lie> lie, @Typed.OptionalLength OptionalDouble across,
                       @Typed.OptionalLength OptionalDouble down, @Typed.OptionalNumber OptionalDouble turn) implements Edit {
    /** Words that are put into a box: no padding, in the middle. */
    private static final Boxed FIRST = new Boxed(0, Lie.MIDDLE);

    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Words.class, this::changed);
    }

    private Words changed(Words w) {
        LetterStyle s = w.style();
        LetterStyle style = new LetterStyle(typeface.orElse(s.typeface()), size.orElse(s.size()), side.orElse(s.side()), leading.orElse(s.leading()), tracking.orElse(s.tracking()));
        return w.saying(text.orElse(w.text())).styled(style).coloured(colour.orElse(w.colour())).boxed(box(w.boxed()))
                .at(new Point(across.orElse(w.centre().x()), down.orElse(w.centre().y())), turn.isPresent() ? Turns.normal(turn.getAsDouble()) : w.turn());
    }

    private Optional<Boxed> box(Optional<Boxed> now) {
        if (!boxed.orElse(now.isPresent() || padding.isPresent() || lie.isPresent())) return Optional.empty();
        Boxed was = now.orElse(FIRST);
        return Optional.of(new Boxed(padding.orElse(was.padding()), lie.orElse(was.lie())));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(across.isPresent() || down.isPresent() ? "Move words" : "Words", before, panels);
    }
}
