package plainlantern.editing.veiling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Veils;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;

/**
 * Gives the veil of one layer or glaze to others: as it lies in its picture, or in its panel.
 *
 * @param from   the element that gives it
 * @param layer  which layer of that, see {@link Veils#acting}
 * @param panels those that get it
 */
@JsonTypeName("copy-veil")
public record CopyVeil(String from, @Typed.Layer int layer, List<String> panels) implements VeilingEdit {
    public CopyVeil {
        panels = panels == null ? List.of() : panels.stream().filter(id -> !id.equals(from)).toList();
        BadInput.unless(!panels.isEmpty(), "panels", "Select the others, too; the first keeps its veil.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Veil veil = Veils.of(before.holders(List.of(from)).get(0), layer)
                .orElseThrow(() -> new BadInput("panels", "There is no veil to copy."));
        return VeilingEdit.veiling(before, panels, Typed.FRONTMOST, (holder, was) -> {
            BadInput.unless(holder.glaze().isEmpty() || veil.rests() == Veil.Rests.PANEL, "panels",
                    "A glaze has no picture for this veil to rest on. Let it rest on the panel first.");
            return veil;
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Copy veil", before, panels);
    }
}
