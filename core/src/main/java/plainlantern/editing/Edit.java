package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Optional;
import plainlantern.sheet.Sheet;

/**
 * One change of a sheet. A gesture, a key, a field of the bench, a mend and an import all end in one of these. Edits are
 * pure: the same edit on the same sheet always gives the same sheet.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Edit permits

        AddCaption, AddLayer, AddPanel, AddRule, AddSwatches, Align, BackVista, Carry, CentrePicture,
        ClearBackground, ClearFinish, CopyContent, CopyFinish, CopyNudge, CoverAgain, Cut, Deal, Duplicate,
        EmptyPanels, FillPanels, FitCaption, FollowFinish, ForgetFinish, FramePicture, GroupPanels, HoldCovered,
        JoinVista, LayOut, LeaveVista, Loosen, MakeVista, MirrorPanels, MirrorPicture, MoveCorner, MoveLayer,
        MoveOut, MovePanels, MovePicture, MoveSeam, NameFinish, Paste, PlaceFocal, PullOutline, PutIn, Raise, Remove,
        RemoveSwatch, Rename, RenameSheet, ReplacePicture, ReplaceVista, ResizePanels, Restack, ReturnTo, RulesAlong,
        SameSize, SeatPanels, SetFinish, SetFit, SetFocal, SetGround, SetGuides, SetLimits, SetLook, SetOutline,
        SetPaper, SetPlate, SetShadow, SetSwatch, SetUpSheet, SetWash, SetWords, Several, ShelvePictures, Space,
        SplitPicture, SwapContent, SwapSeats, Traits, TurnPanels, TurnPicture, UnshelvePictures, ZoomPicture {
    /**
     * The sheet after the edit.
     *
     * @throws plainlantern.sheet.Gone          when it names what is no longer there
     * @throws plainlantern.geometry.BadInput   when what it asks for cannot be
     */
    Sheet apply(Sheet before);

    /** As {@link #apply}, with the rules that lie along seams brought to where these are then: every change of a sheet goes through here. */
    default Sheet on(Sheet before) {
        return Rules.followed(before, apply(before));
    }

    /** What is to be said once it was made, where {@code after} is not quite what was asked for. */
    default Optional<Remark> remark(Sheet before, Sheet after) {
        return Optional.empty();
    }

    /** What the history calls it, such as "Cover again: Centre". */
    String title(Sheet before);
}
