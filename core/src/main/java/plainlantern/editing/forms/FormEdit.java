package plainlantern.editing.forms;

import plainlantern.editing.Edit;

/** The forms of panels: handles, sides, corners and points; drawn, of letters, cut and combined. */
public sealed interface FormEdit extends Edit permits
        AddDrawn, AddLetters, AddPoint, Combine, Cut, Grow, MakeRegions, MoveCorner, MovePoint, MoveSeam, PartLetters, PullOutline,
        RemovePoint, SetLetters, SetOutline, SetPoint, ShapeCorners {
}
