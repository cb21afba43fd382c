package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Sheet;

/** Changes what lies behind everything. */
@JsonTypeName("set-paper")
public record SetPaper(Paper paper) implements SheetEdit {
    @Override
    public Sheet apply(Sheet before) {
        if (paper instanceof Paper.Pictured pictured) before.picture(pictured.picture());
        return before.withPaper(paper);
    }

    @Override
    public String title(Sheet before) {
        return "Paper";
    }
}
