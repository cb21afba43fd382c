package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.fitting.Lettering;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.Boxed;
import plainlantern.sheet.Content.Lie;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Look;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Role;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Puts words on the sheet, in front of all else, on a plate in its middle, half as wide as the sheet and as high as the words. */
@JsonTypeName("add-caption")
public record AddCaption(Optional<String> text) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        double size = Math.max(0.1, Math.min(before.width(), before.height()) / 24);
        Words words = Words.of(text.filter(t -> !t.isBlank()).orElse("Caption"), LetterStyle.of(Typeface.HANKEN_GROTESK, size, Setting.Side.LEFT), Colour.of("#23262A"))
                .boxed(Optional.of(new Boxed(size * 0.6, Lie.MIDDLE)));
        Wash plate = Wash.plain(Colour.WHITE).looking(new Look(0.85, Blend.NORMAL));
        int number = before.lastId() + 1;
        double radius = size * 0.3;
        Seat seat = Seat.upright(new Point(before.width() / 2, before.height() / 2), Math.max(Seat.THINNEST, before.width() / 2), Math.max(Seat.THINNEST, size * 3));
        Panel caption = new Panel("p" + number, "Caption " + number, false, false, Role.CAPTION, "", new Rectangle(radius, radius, radius, radius), seat, List.<Content>of(plate, words), Finish.NONE);
        return before.adding(Lettering.fitted(caption));
    }

    @Override
    public String title(Sheet before) {
        return "Caption";
    }
}
