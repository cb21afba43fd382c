package plainlantern.editing.forms;

import plainlantern.editing.Edit;

/** The forms of panels: their handles, sides and corners, and cuts. */
public sealed interface FormEdit extends Edit permits
        AddLetters, Combine, Cut, Grow, MakeRegions, MoveCorner, MoveSeam, PartLetters, PullOutline, SetLetters, SetOutline, ShapeCorners {
}
