package plainlantern.outline;

import java.util.List;

/** The forms that can be chosen. */
public final class Outlines {
    /** One of each kind, with its first numbers, in the order of the bench. */
    public static final List<Outline> KINDS = List.of(Rectangle.SHARP, new Ellipse(), new RegularPolygon(6, 0, false), new Diamond(0),
            new Star(5, 0.5, 0),
            new Ring(0.5), new Heart(), new Arch(), new Slanted(0.25, 0.25));

    private Outlines() {}
}
