package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Content;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Wash;

/** Sets the colours of a wash and which way they run. */
@JsonTypeName("set-wash")
public record SetWash(List<String> panels, @Typed.Layer int layer, List<Stop> stops, @Typed.Turn double turn, @Typed.Switch boolean round)
        implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Content::wash, wash -> new Wash(stops, turn, round, wash.look(), wash.veil()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Wash", before, panels);
    }
}
