package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Sheet;

/** Lets panels look through at a vista that is there, in register, in place of what they showed. */
@JsonTypeName("join-vista")
public record JoinVista(List<String> panels, String vista) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        VistaSlice slice = new VistaSlice(before.vista(vista).id(), Optional.empty(), Nudge.NONE);
        return before.changing(panels, p -> p.withContent(List.of(slice)));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Join vista", before, panels);
    }
}
