package plainlantern.editing.dressing;

import plainlantern.editing.Edit;

/** Rims, shadows, finishes with names, and the colours of the palette. */
public sealed interface DressingEdit extends Edit permits
        AddSwatches, ClearFinish, CopyFinish, FollowFinish, ForgetFinish, NameFinish, RemoveSwatch, SetFinish,
        SetGroundShadow, SetShadow, SetSwatch {
}
