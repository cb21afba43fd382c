package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;

/** Sets the colours of a wash and which way they run. */
@JsonTypeName("set-wash")
public record SetWash(List<String> panels, @Typed.Layer int layer, List<Stop> stops, @Typed.Turn double turn, @Typed.Switch boolean round) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        return Layers.changing(before, panels, layer, Wash.class, wash -> new Wash(stops, turn, round, wash.look()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Wash", before, panels);
    }
}
