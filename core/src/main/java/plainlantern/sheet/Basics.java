package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * What all elements of a sheet have.
 *
 * @param id     unique on its sheet and never used twice
 * @param name   what people call it
 * @param locked whether its place and its being there are safe from gestures and edits
 * @param hidden whether it is left out of the board and of every delivery
 * @param group  the name of the group it belongs to, empty where to none
 * @param seat   where it is
 * @param finish what surrounds it
 */
public record Basics(String id, String name, @Typed.Switch boolean locked, @Typed.Switch boolean hidden, String group,
        Seat seat, Finish finish) {
    private static final int LONGEST_NAME = 200;

    public Basics {
        group = group == null ? "" : group;
        finish = finish == null ? Finish.NONE : finish;
        Ids.checked(id);
        if (!group.isEmpty()) Ids.checked(group);
        BadInput.unless(name.length() <= LONGEST_NAME, "name", "A panel's name has at most " + LONGEST_NAME + " characters.");
        BadInput.unless(seat != null, "panels", "An element needs a place.");
    }

    /** Of something new: in no group, neither locked nor hidden, without a finish. */
    public static Basics of(String id, String name, Seat seat) {
        return new Basics(id, name, false, false, "", seat, Finish.NONE);
    }

    public Basics named(String newName) {
        return new Basics(id, newName, locked, hidden, group, seat, finish);
    }

    public Basics lockedTo(boolean nowLocked) {
        return new Basics(id, name, nowLocked, hidden, group, seat, finish);
    }

    public Basics grouped(String newGroup) {
        return new Basics(id, name, locked, hidden, newGroup, seat, finish);
    }

    public Basics at(Seat newSeat) {
        return new Basics(id, name, locked, hidden, group, newSeat, finish);
    }

    public Basics finished(Finish newFinish) {
        return new Basics(id, name, locked, hidden, group, seat, newFinish);
    }
}
