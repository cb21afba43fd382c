package plainlantern.studio.deliver;

import plainlantern.asking.Choice;

/** How far a delivery is. */
public enum DeliveryState implements Choice {
    WAITING, PAINTING, DONE, FAILED, STOPPED;

    /** Whether something still happens to it. */
    public boolean open() {
        return this == WAITING || this == PAINTING;
    }
}
