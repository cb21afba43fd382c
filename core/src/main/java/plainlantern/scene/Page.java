package plainlantern.scene;

import plainlantern.geometry.Box;

/**
 * A part of a scene that is handed over as one.
 *
 * @param sheet the name of its sheet
 * @param name  the name of what it shows
 * @param trim  where it is cut in the end, mm in the scene
 * @param bleed by so many mm more is painted on every side
 */
public record Page(String sheet, String name, Scene scene, Box trim, double bleed) {
    /** A whole sheet, trimmed. */
    public static Page of(Scene scene) {
        return new Page("Sheet", "Sheet", scene, new Box(0, 0, scene.width(), scene.height()), 0);
    }

    /** All that is painted. */
    public Box box() {
        return trim.grown(bleed);
    }

    /** The same with another scene in the same place. */
    public Page showing(Scene other) {
        return new Page(sheet, name, other, trim, bleed);
    }
}
