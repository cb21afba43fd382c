package plainlantern.editing.veiling;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Changes;
import plainlantern.editing.Titles;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Veils;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Projective;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Veil;
import plainlantern.sheet.Veil.Rests;
import plainlantern.sheet.VeilPart;

/**
 * Sets what veils move along with, whether they are switched off, and values of one of their parts; what is absent stays.
 *
 * @param rests what it hides stays where it is on the sheet now
 * @param at    which part is meant, from 0
 * @param set   of that part, see {@link Changes}; not its places nor the size of its brush
 */
@JsonTypeName("set-veil")
public record SetVeil(List<String> panels, @Typed.Layer int layer, Optional<Rests> rests, Optional<Boolean> off, OptionalInt at,
        @JsonAnySetter @JsonAnyGetter Map<String, Object> set) implements VeilingEdit {
    private static final List<String> SETTABLE = List.of("strength", "softness", "tolerance", "colour", "turned", "shows");

    public SetVeil {
        panels = panels == null ? List.of() : List.copyOf(panels);
        rests = rests == null ? Optional.empty() : rests;
        off = off == null ? Optional.empty() : off;
        at = at == null ? OptionalInt.empty() : at;
        set = Changes.only(set, SETTABLE);
        BadInput.unless(rests.isPresent() || off.isPresent() || at.isPresent() && !set.isEmpty(), "set", "Nothing is set.");
    }

    @Override
    public Sheet apply(Sheet before) {
        return VeilingEdit.veiling(before, panels, layer, (holder, was) -> {
            Veil veil = off.map(was::switched).orElse(was);
            Veil placed = rests.filter(r -> r != veil.rests() && Veils.first(holder, layer) == Rests.PICTURE)
                    .map(r -> placed(before, holder, veil, r)).orElse(veil);
            return at.isPresent() ? changed(placed, before) : placed;
        });
    }

    private Veil placed(Sheet sheet, Holder holder, Veil veil, Rests there) {
        Optional<Shown> shown = Vistas.shown(sheet, holder, layer);
        Projective map = Veils.toPanel(there, shown).inverse().after(Veils.toPanel(veil.rests(), shown));
        return veil.resting(there, map);
    }

    private Veil changed(Veil veil, Sheet sheet) {
        return veil.changing(at.getAsInt(), part -> Optional.of((VeilPart) Changes.onto((Record) part, set, sheet)));
    }

    @Override
    public String title(Sheet before) {
        String what = rests.map(r -> "Veil on the " + r.label()).or(() -> off.map(o -> o ? "Veil off" : "Veil on")).orElse("Veil");
        return Titles.of(what, before, panels);
    }
}
