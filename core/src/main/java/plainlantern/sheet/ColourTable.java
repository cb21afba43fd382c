package plainlantern.sheet;

import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/**
 * The fifth step of a tone: a table of colours from a file.
 *
 * @param id       SHA-256 of the file, 64 lower-case hex digits
 * @param name     what people call it
 * @param strength 0 to 1
 */
public record ColourTable(String id, String name, @Asked(value = "Strength", most = 1) @Typed.Share double strength) {
    public ColourTable {
        Ids.picture(id);
        BadInput.unless(name != null && !name.isBlank() && name.length() <= 120, "name",
                "A colour table needs a name of at most 120 letters.");
        Questions.check(ColourTable.class, id, name, strength);
    }
}
