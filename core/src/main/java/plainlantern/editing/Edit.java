package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import plainlantern.sheet.Sheet;

/**
 * One change of a sheet. A gesture, a key, a field of the bench, a mend and an import all end in one of these. Edits are
 * pure: the same edit on the same sheet always gives the same sheet.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Edit permits
        AddPanel, Align, Carry, CentrePicture, CoverAgain, Cut, Duplicate, EmptyPanels, FillPanels, GroupPanels,
        HoldCovered, JoinVista, LayOut, LeaveVista, Loosen, MakeVista, MirrorPanels, MirrorPicture, MoveCorner,
        MovePanels, MovePicture, MoveSeam, Paste, PlaceFocal, PullOutline, Raise, Remove, Rename, RenameSheet,
        ReplaceVista, ResizePanels, Restack, SameSize, SeatPanels, SetFit, SetFocal, SetGuides, SetOutline, SetPaper,
        SetUpSheet, ShelvePictures, Space, SwapContent, SwapSeats, Traits, TurnPanels, TurnPicture, UnshelvePictures,
        ZoomPicture {
    /**
     * The sheet after the edit.
     *
     * @throws plainlantern.sheet.Gone          when it names what is no longer there
     * @throws plainlantern.geometry.BadInput   when what it asks for cannot be
     */
    Sheet apply(Sheet before);

    /** What the history calls it, such as "Cover again: Centre". */
    String title(Sheet before);
}
