package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/**
 * Gives panels what another one shows, in place of what they showed; each picture keeps its zoom and its place relative to its panel.
 *
 * @param anew whether pictures just cover their new panel instead, see {@link FillPanels}
 */
@JsonTypeName("copy-content")
public record CopyContent(String from, List<String> panels, @Typed.Switch boolean anew) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Panel giver = before.panel(from);
        BadInput.unless(!giver.content().isEmpty(), "panels", giver.name() + " is empty: there is nothing to copy.");
        return before.changing(before.takers(panels), p -> p.id().equals(from) ? p : taken(before, giver, p, anew));
    }

    /** The panel with the content of {@code giver}. */
    static Panel taken(Sheet sheet, Panel giver, Panel panel, boolean anew) {
        Panel taken = panel.withContent(giver.content());
        if (!anew) return Refit.resized(sheet, giver, taken);
        return taken.changingPictures(own -> FillPanels.covering(sheet, panel, sheet.picture(own.picture())).looking(own.look()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Copy " + before.panel(from).name(), before, panels);
    }
}
