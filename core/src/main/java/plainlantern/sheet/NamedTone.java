package plainlantern.sheet;

import java.util.Optional;
import plainlantern.asking.BadInput;

/**
 * A tone of the sheet with a name. Pictures that follow it hold it whole and keep its id: a change goes to all of them.
 *
 * @param id unique on its sheet
 */
public record NamedTone(String id, String name, Tone tone) {
    public NamedTone {
        Ids.checked(id);
        name = name.strip();
        BadInput.unless(!name.isEmpty() && name.length() <= 60, "name", "A tone needs a name of at most 60 letters.");
        tone = tone.following(Optional.of(id)).framed(Optional.empty());
    }
}
