package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.geometry.Point;

/**
 * A shadow that a panel casts behind itself, or that its edge casts into it. The light belongs to the sheet: a panel that is turned
 * keeps the direction of its shadow.
 *
 * @param distance  mm
 * @param direction where it falls, degrees clockwise: 0 upward, 90 to the right
 * @param blur      mm; the edge fades over twice this length, the standard deviation is half of it (CSS Backgrounds 3, 6.1.1)
 * @param spread    mm by which the casting form is larger; smaller where it is negative
 * @param opacity   0 to 1
 */
public record Shadow(@Typed.Length double distance, @Typed.Turn double direction, @Typed.Length double blur, @Typed.Length double spread,
        Colour colour, @Typed.Share double opacity) {
    /** None is farther away, softer or wider than this, mm. */
    public static final double MOST = 500;
    /** A soft shadow to the lower right. */
    public static final Shadow FIRST = new Shadow(1.5, 135, 3, 0, Colour.of("#18222B"), 0.45);
    /** The same falling into a panel. */
    public static final Shadow FIRST_INNER = new Shadow(0.8, 135, 2, 0, Colour.of("#18222B"), 0.5);

    public Shadow {
        BadInput.unless(distance >= 0 && distance <= MOST, "distance", "A shadow lies 0 to 500 mm away.");
        BadInput.unless(Double.isFinite(direction), "direction", "This has to be a number of degrees.");
        BadInput.unless(blur >= 0 && blur <= MOST, "blur", "A blur is 0 to 500 mm: 0 is a hard edge, and there is nothing harder.");
        BadInput.unless(Math.abs(spread) <= MOST, "spread", "A spread goes from -500 to 500 mm.");
        BadInput.unless(opacity >= 0 && opacity <= 1, "opacity", "Opacity goes from 0 to 100 %.");
    }

    /** The same with its lengths as that sheet sets lengths that nobody typed. */
    public Shadow on(Sheet sheet) {
        return new Shadow(sheet.even(distance), direction, sheet.even(blur), spread == 0 ? 0 : sheet.even(spread), colour, opacity);
    }

    /** How far it lies from what casts it, mm. */
    public Point offset() {
        double angle = Math.toRadians(direction);
        return new Point(Math.sin(angle) * distance, -Math.cos(angle) * distance);
    }

    /** Of the Gaussian curve along which it fades, mm. */
    public double deviation() {
        return blur / 2;
    }

    /** The same in a sheet that is so many times as large. */
    public Shadow scaled(double factor) {
        return new Shadow(Math.min(MOST, distance * factor), direction, Math.min(MOST, blur * factor),
                Math.max(-MOST, Math.min(MOST, spread * factor)), colour, opacity);
    }

    public Shadow coloured(Colour newColour) {
        return new Shadow(distance, direction, blur, spread, newColour, opacity);
    }

    /** The same falling in another direction. */
    public Shadow towards(double newDirection) {
        return new Shadow(distance, newDirection, blur, spread, colour, opacity);
    }
}
