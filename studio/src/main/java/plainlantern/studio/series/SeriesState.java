package plainlantern.studio.series;

import plainlantern.asking.Choice;

/** How a series stands. */
public enum SeriesState implements Choice {
    /** Its sheets are being made. */
    MAKING,
    READY,
    /** Its sheets take over what changed on the template. */
    FOLLOWING,
    /** Its sheets could not be made. */
    FAILED, STOPPED;

    public boolean working() {
        return this == MAKING || this == FOLLOWING;
    }
}
