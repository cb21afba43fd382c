package plainlantern.scene;

import plainlantern.asking.Choice;

/** How much of a sheet is handed over. */
public enum Extent implements Choice {
    /** All of it. */
    SHEET,
    /** The selected elements, as far as they reach. */
    SELECTION,
    /** Each panel alone, upright, trimmed to its form and its rim; what is around it is clear. */
    FORMS,
    /** As {@link #FORMS}, each turned as on the sheet. */
    TURNED,
    /** What each panel shows, upright, in its whole box: no form, no rim. */
    BOXES;

    /** Whether each panel is a page of its own. */
    public boolean apart() {
        return this == FORMS || this == TURNED || this == BOXES;
    }
}
