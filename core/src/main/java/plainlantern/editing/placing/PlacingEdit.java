package plainlantern.editing.placing;

import plainlantern.editing.Edit;

/** Where elements are and how they stand to each other: new ones, patterns, places, sizes, turns, depth, groups. */
public sealed interface PlacingEdit extends Edit permits
        AddPanel, AddRule, Align, BringDrawing, Duplicate, GroupPanels, LayOut, MirrorPanels, MovePanels, Paste, Raise, Remove,
        Rename, RepeatAround, ResizePanels, Restack, RulesAlong, SameSize, SeatPanels, Space, SwapSeats, Traits, TurnPanels {
}
