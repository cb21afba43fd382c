package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;

/** Takes a named finish off the sheet; the panels that followed it look as before. */
@JsonTypeName("forget-finish")
public record ForgetFinish(String finish) implements DressingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Styles styles = before.styles();
        styles.finish(finish);
        return Finishes.freed(before, finish).withStyles(styles.withFinishes(styles.finishes().stream()
                .filter(f -> !f.id().equals(finish)).toList()));
    }

    @Override
    public String title(Sheet before) {
        return "Delete finish: " + before.styles().finish(finish).name();
    }
}
