package plainlantern.editing.words;

import plainlantern.editing.Edit;

/** Words in panels, and captions. */
public sealed interface WordsEdit extends Edit permits
        AddCaption, BoxWords, FitCaption, PlaceWords, SetPlate, SetWords {
}
