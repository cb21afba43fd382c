package plainlantern.editing.words;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.editing.Added;
import plainlantern.fitting.Typesetting;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Caption;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Look;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words.Boxed;
import plainlantern.sheet.Words.Lie;
import plainlantern.sheet.Words;

/** Puts words on the sheet, in front of all else, on a plate in its middle, half as wide as the sheet and as high as the words. */
@JsonTypeName("add-caption")
public record AddCaption(Optional<String> text) implements WordsEdit {
    @Override
    public Sheet apply(Sheet before) {
        double size = Math.max(0.1, Math.min(before.width(), before.height()) / 24);
        LetterStyle style = LetterStyle.of(Typeface.HANKEN_GROTESK, size, Setting.Side.LEFT);
        Words words = Words.of(text.filter(t -> !t.isBlank()).orElse("Caption"), style, Colour.of("#23262A"))
                .boxed(Optional.of(new Boxed(size * 0.6, Lie.MIDDLE)));
        Wash plate = Wash.plain(Colour.WHITE).looking(new Look(0.85, Blend.NORMAL));
        int number = before.lastId() + 1;
        Seat seat = Seat.upright(before.bounds().centre(), Math.max(Seat.THINNEST, before.width() / 2), Math.max(Seat.THINNEST, size * 3));
        Caption caption = new Caption(Basics.of("p" + number, "Caption " + number, seat), Rectangle.rounded(size * 0.3),
                List.<Content>of(plate, words));
        return before.adding(Typesetting.fitted(caption));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return "Caption";
    }
}
