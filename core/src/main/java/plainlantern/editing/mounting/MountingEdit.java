package plainlantern.editing.mounting;

import plainlantern.editing.Edit;

/** Pictures mounted by four corners. */
public sealed interface MountingEdit extends Edit permits FindEdges, LayFlat, MountHere, MountPicture, SetCorner, SetProportions {
}
