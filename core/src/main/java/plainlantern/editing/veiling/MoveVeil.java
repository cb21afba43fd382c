package plainlantern.editing.veiling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.fitting.Veils;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.VeilPart;

/**
 * Moves one part of veils, or an end of it.
 *
 * @param at      which part, from 0
 * @param handles by which it is held, see {@link VeilPart#handles}
 * @param dx      so far to the right, mm on the sheet
 * @param dy      so far down
 */
@JsonTypeName("move-veil")
public record MoveVeil(List<String> panels, @Typed.Layer int layer, @Typed.Whole int at, List<Integer> handles, @Typed.OrZero double dx,
        @Typed.OrZero double dy) implements VeilingEdit {
    public MoveVeil {
        panels = panels == null ? List.of() : List.copyOf(panels);
        handles = handles == null ? List.of() : List.copyOf(handles);
    }

    @Override
    public Sheet apply(Sheet before) {
        return VeilingEdit.veiling(before, panels, layer, (holder, veil) -> moved(before, holder, veil));
    }

    private Veil moved(Sheet sheet, Holder holder, Veil veil) {
        Projective toSheet = Veils.toSheet(sheet, holder, layer, veil.rests());
        Projective back = toSheet.inverse();
        Point by = new Point(dx, dy);
        return veil.changing(at, part -> {
            BadInput.unless(!handles.isEmpty() && handles.stream().allMatch(i -> i >= 0 && i < part.handles().size()), "handles",
                    "That part of the veil is not moved by hand.");
            return Optional.of(part.moved(handles, p -> back.apply(toSheet.apply(p).plus(by))));
        });
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Move in the veil", before, panels);
    }
}
