package plainlantern.editing.reading;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Edit;
import plainlantern.editing.Outside;
import plainlantern.sheet.Sheet;

/** Several edits as one step, such as all mends of one kind. One that can no longer be made is left out; when none can, that is said. */
@JsonTypeName("several")
public record Several(String name, List<Edit> edits) implements Edit {
    public static final int MOST = 5000;

    public Several {
        BadInput.unless(edits != null && !edits.isEmpty() && edits.size() <= MOST, "edits", "There is nothing to do.");
        edits = List.copyOf(edits);
        BadInput.unless(edits.stream().noneMatch(Several.class::isInstance), "edits", "These cannot be made together.");
        BadInput.unless(name != null && name.length() <= 80, "name", "A step's name has at most 80 letters.");
    }


    @Override
    public Sheet apply(Sheet before) {
        Sheet now = before;
        BadInput refused = null;
        for (Edit edit : edits) {
            try {
                now = edit.on(now);
            } catch (BadInput no) {
                refused = no;
            }
        }
        if (refused != null && now.equals(before)) throw refused;
        return now;
    }

    @Override
    public Several agreedTo() {
        return new Several(name, edits.stream().map(Edit::agreedTo).toList());
    }

    @Override
    public Several completed(Outside outside, Sheet before) {
        return new Several(name, edits.stream().map(edit -> edit.completed(outside, before)).toList());
    }

    @Override
    public String title(Sheet before) {
        return name;
    }
}
