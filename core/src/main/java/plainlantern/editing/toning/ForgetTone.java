package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;
import plainlantern.sheet.Tones;

/** Takes a named tone off the sheet; the pictures that followed it look as before. */
@JsonTypeName("forget-tone")
public record ForgetTone(String tone) implements ToningEdit {
    @Override
    public Sheet apply(Sheet before) {
        Styles styles = before.styles();
        styles.tone(tone);
        Sheet freed = Tones.changing(before, t -> t.named().equals(Optional.of(tone)) ? t.following(Optional.empty()) : t);
        return freed.withStyles(styles.withTones(styles.tones().stream().filter(t -> !t.id().equals(tone)).toList()));
    }

    @Override
    public String title(Sheet before) {
        return "Delete tone: " + before.styles().tone(tone).name();
    }
}
