package plainlantern.checking;

import java.util.ArrayList;
import java.util.List;
import plainlantern.editing.vistas.Loosen;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.PictureLayer;

/** Slices that miss their vista by so little that nobody meant it. */
final class OutOfRegister implements Check {
    @Override
    public String title() {
        return "Out of register";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        for (Holder panel : checked.holders()) {
            panel.sliced().map(PictureLayer::nudge).filter(nudge -> !nudge.equals(Nudge.NONE)).ifPresent(nudge -> {
                double off = Math.hypot(nudge.dx(), nudge.dy());
                if (off >= checked.limits().aligned() || Math.abs(nudge.turn()) > 0.5 || Math.abs(nudge.zoom() - 1) > 0.01) return;
                faults.add(checked.fault(Weight.WARNING, panel, panel.name() + ": its slice is " + checked.length(off)
                        + " out of register.", new Loosen(List.of(panel.id()), 0, 0, 0, 0, false)));
            });
        }
        return faults;
    }
}
