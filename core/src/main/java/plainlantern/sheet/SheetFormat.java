package plainlantern.sheet;

import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;

/**
 * What a sheet is before anything lies on it.
 *
 * @param unit   what people read and type; inside all lengths are mm
 * @param width  mm
 * @param height mm
 * @param ppi    pixels an inch that the result is meant for
 * @param bleed  mm beyond the trim on each side
 */
public record SheetFormat(String name, Unit unit, @Typed.Length double width, @Typed.Length double height, @Typed.Number double ppi,
        @Typed.Length double bleed, Margins margins) {
    private static final double SMALLEST_SIDE = 1;
    private static final double LARGEST_SIDE = 5000;
    private static final double MOST_BLEED = 50;

    public SheetFormat {
        name = name.strip();
        BadInput.unless(!name.isEmpty(), "name", "A sheet needs a name.");
        BadInput.unless(name.length() <= 120, "name", "A name has at most 120 characters.");
        BadInput.unless(width >= SMALLEST_SIDE && width <= LARGEST_SIDE, "width", "A sheet is between 1 mm and 5 m wide.");
        BadInput.unless(height >= SMALLEST_SIDE && height <= LARGEST_SIDE, "height", "A sheet is between 1 mm and 5 m high.");
        BadInput.unless(ppi >= 1 && ppi <= 2400, "ppi", "Pixels per inch go from 1 to 2400.");
        BadInput.unless(bleed >= 0 && bleed <= MOST_BLEED, "bleed", "Bleed goes from 0 to 50 mm.");
        BadInput.unless(unit != null && margins != null, "unit", "A sheet needs a unit and margins.");
    }

    /** The sheet without its margins, where patterns go; empty when the margins leave nothing. */
    public Optional<Box> area() {
        double across = width - margins.left() - margins.right();
        double down = height - margins.top() - margins.bottom();
        return across > 0 && down > 0 ? Optional.of(new Box(margins.left(), margins.top(), across, down)) : Optional.empty();
    }

    public SheetFormat named(String newName) {
        return new SheetFormat(newName, unit, width, height, ppi, bleed, margins);
    }

    public SheetFormat sized(double newWidth, double newHeight) {
        return new SheetFormat(name, unit, newWidth, newHeight, ppi, bleed, margins);
    }

    public SheetFormat withMargins(Margins newMargins) {
        return new SheetFormat(name, unit, width, height, ppi, bleed, newMargins);
    }

    /** The same with that bleed, as wide as bleed can be at most. */
    public SheetFormat bleeding(double newBleed) {
        return new SheetFormat(name, unit, width, height, ppi, Math.min(MOST_BLEED, newBleed), margins);
    }
}
