package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.BadInput;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Sheet;

/** Gives the slices of panels the nudge of another one's. */
@JsonTypeName("copy-nudge")
public record CopyNudge(String from, List<String> panels) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Nudge nudge = before.panel(from).slice().orElseThrow(() -> new BadInput("panels", "This panel shows no vista.")).nudge();
        BadInput.unless(before.panels(panels).stream().anyMatch(p -> p.slice().isPresent()), "panels", "None of these panels shows a vista.");
        return before.changing(panels, p -> p.changingSlices(slice -> ((VistaSlice) slice).nudged(nudge)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Nudge as " + before.panel(from).name(), before, panels);
    }
}
