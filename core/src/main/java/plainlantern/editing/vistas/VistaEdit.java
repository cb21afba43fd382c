package plainlantern.editing.vistas;

import plainlantern.editing.Edit;

/** One picture seen through several panels. */
public sealed interface VistaEdit extends Edit permits
        BackVista, Carry, CopyNudge, JoinVista, LeaveVista, Loosen, MakeVista, ReplaceVista, SplitPicture {
}
