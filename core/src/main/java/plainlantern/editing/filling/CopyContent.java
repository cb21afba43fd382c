package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Gives panels what another one shows, in place of what they showed; each picture keeps its zoom and its place relative to its panel.
 *
 * @param anew whether pictures just cover their new panel instead, see {@link FillPanels}
 */
@JsonTypeName("copy-content")
public record CopyContent(String from, List<String> panels, @Typed.Switch boolean anew) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Holder giver = before.holder(from);
        BadInput.unless(!giver.content().isEmpty(), "panels", giver.name() + " is empty: there is nothing to copy.");
        return before.holding(before.takers(panels), p -> p.id().equals(from) ? p : taken(before, giver, p, anew));
    }

    /** The panel with the content of {@code giver}; a plane stays with its panel, and what comes into one covers there. */
    public static Holder taken(Sheet sheet, Holder giver, Holder panel, boolean anew) {
        Holder taken = panel.withContent(giver.content());
        boolean planes = Stream.of(giver, panel).flatMap(p -> p.pictures().stream()).anyMatch(picture -> picture.plane().isPresent());
        if (!anew && !planes) return Refit.resized(sheet, giver, taken);
        return taken.changingOwn(own -> FillPanels.covering(sheet, panel, sheet.picture(sheet.pictureOf(own))).looking(own.look()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Copy " + before.element(from).name(), before, panels);
    }
}
