package plainlantern.editing.glazing;

import plainlantern.editing.Edit;

/** Glazes. Their tones are set as those of pictures are, their rims and looks as those of panels. */
public sealed interface GlazingEdit extends Edit permits AddGlaze, BendGlaze, MakeGlaze, SetGlaze {
}
