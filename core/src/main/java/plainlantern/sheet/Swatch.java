package plainlantern.sheet;

import plainlantern.asking.BadInput;

/**
 * A colour of the sheet with a name. What is painted in it keeps its id: a change goes everywhere.
 *
 * @param id unique on its sheet
 */
public record Swatch(String id, String name, Colour colour) {
    public Swatch {
        Ids.checked(id);
        name = name.strip();
        BadInput.unless(!name.isEmpty() && name.length() <= 60, "name", "A swatch needs a name of at most 60 letters.");
        colour = colour.linked(id);
    }
}
