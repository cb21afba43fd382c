package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.editing.Titles;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Sheet;

/** Gives panels a finish of the sheet, which they follow from now on; without one they follow none any more and look as before. */
@JsonTypeName("follow-finish")
public record FollowFinish(List<String> panels, Optional<String> finish) implements DressingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Optional<Finish> given = finish.map(id -> before.styles().finish(id).finish());
        return before.changing(panels, p -> p.finished(given.orElseGet(() -> p.finish().following(Optional.empty()))));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(finish.map(id -> "Finish " + before.styles().finish(id).name()).orElse("A finish of its own"), before, panels);
    }
}
