package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.editing.Titles;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Sheet;

/** Gives the slices of panels the nudge of another one's. */
@JsonTypeName("copy-nudge")
public record CopyNudge(String from, List<String> panels) implements VistaEdit {
    @Override
    public Sheet apply(Sheet before) {
        Nudge nudge = before.holder(from).sliced().orElseThrow(() -> new BadInput("panels", "This panel shows no vista.")).nudge();
        BadInput.unless(before.holders(panels).stream().anyMatch(p -> p.slice().isPresent()), "panels",
                "None of these panels shows a vista.");
        return before.holding(panels, p -> p.changingSlices(slice -> slice.nudged(nudge)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Nudge as " + before.element(from).name(), before, panels);
    }
}
