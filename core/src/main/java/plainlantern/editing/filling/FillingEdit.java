package plainlantern.editing.filling;

import plainlantern.editing.Edit;

/** What panels show: pictures and their places in panels, washes, layers, and the shelf that pictures come from. */
public sealed interface FillingEdit extends Edit permits
        AddLayer, CentrePicture, ClearBackground, CopyContent, CoverAgain, Deal, EmptyPanels, FillPanels,
        FramePicture, FreshenPicture, HoldCovered, MirrorPicture, MoveLayer, MoveOut, MovePicture, PlaceFocal, PutIn, ReplacePicture,
        SetFit, SetFocal, SetLook, SetWash, ShelvePictures, SwapContent, TurnPicture, UnshelvePictures, ZoomPicture {
}
