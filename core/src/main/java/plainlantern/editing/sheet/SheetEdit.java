package plainlantern.editing.sheet;

import plainlantern.editing.Edit;

/** The sheet itself: its name, size, paper, guides and limits. */
public sealed interface SheetEdit extends Edit permits
        FollowTemplate, RenameSheet, ReturnTo, SetGuides, SetLimits, SetPaper, SetUpSheet {
}
