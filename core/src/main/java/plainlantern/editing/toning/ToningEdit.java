package plainlantern.editing.toning;

import plainlantern.editing.Edit;

/** Tones of pictures: their values, their names, and what is taken from one to others. */
public sealed interface ToningEdit extends Edit permits
        ClearTone, CopyTone, EvenTone, FollowTone, ForgetTone, MatchTone, NameTone, RecolourTone, SetTable, SetTone, SwitchTone {
}
