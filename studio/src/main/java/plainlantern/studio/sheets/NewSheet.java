package plainlantern.studio.sheets;

import plainlantern.asking.BadInput;
import plainlantern.asking.Lengths;
import plainlantern.asking.Unit;
import plainlantern.sheet.Sheet;

/** The form for a new sheet, as people typed it. */
public record NewSheet(String name, String width, String height, String unit, String ppi) {
    /** The empty sheet they ask for; throws {@link BadInput} at the field that makes no sense. */
    Sheet sheet() {
        Unit in = Unit.of(unit);
        double density = Lengths.number(ppi, "ppi");
        BadInput.unless(density >= 1 && density <= 2400, "ppi", "Pixels per inch go from 1 to 2400.");
        return Sheet.empty(name, in, Lengths.mm(width, "width", in, density), Lengths.mm(height, "height", in, density), density);
    }
}
