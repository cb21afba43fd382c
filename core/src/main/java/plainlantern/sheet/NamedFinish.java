package plainlantern.sheet;

import java.util.Optional;
import plainlantern.asking.BadInput;

/**
 * A finish of the sheet with a name. Panels that follow it hold it whole and keep its id: a change goes to all of them.
 *
 * @param id unique on its sheet
 */
public record NamedFinish(String id, String name, Finish finish) {
    public NamedFinish {
        Ids.checked(id);
        name = name.strip();
        BadInput.unless(!name.isEmpty() && name.length() <= 60, "name", "A finish needs a name of at most 60 letters.");
        finish = finish.following(Optional.of(id));
    }
}
