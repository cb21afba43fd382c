package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Sheet;

/**
 * A sheet of a series takes over what changed on its template.
 *
 * @param followed the sheet as it is then
 */
@JsonTypeName("follow-template")
public record FollowTemplate(Sheet followed) implements SheetEdit {
    @Override
    public Sheet apply(Sheet before) {
        return followed.with(followed.elements(), Math.max(before.lastId(), followed.lastId())).named(before.name());
    }

    @Override
    public String title(Sheet before) {
        return "Follow the template";
    }
}
