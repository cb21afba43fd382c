package plainlantern.outline;

import plainlantern.geometry.Point;

/**
 * A handle of an outline.
 *
 * @param at    where it is in the panel's own frame, mm
 * @param value the number that it changes: mm, or a share
 * @param share whether that is a share
 */
public record Grip(String name, Point at, double value, boolean share) {
    /** One that changes a length. */
    static Grip ofLength(String name, Point at, double mm) {
        return new Grip(name, at, mm, false);
    }

    /** One that changes a share. */
    static Grip ofShare(String name, Point at, double share) {
        return new Grip(name, at, share, true);
    }
}
