package plainlantern.editing.vistas;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.editing.AskFirst;
import plainlantern.editing.Titles;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Sheet;

/**
 * Gives slices nudges by chance, in place of those they had, as if each part had been photographed on its own. All ranges zero sets
 * them back in register. Chance comes from {@link Random}, whose sequence its documentation fixes.
 *
 * @param offset up to so many mm each way
 * @param zoom   up to so much larger, as a share
 * @param turn   up to so many degrees either way
 */
@JsonTypeName("loosen")
public record Loosen(List<String> panels, @Typed.Length @Asked(value = "Offset", first = "0.02", most = 500) double offset,
                     @Typed.Share @Asked(value = "Larger by up to", first = "0.12", most = 2) double zoom,
                     @Typed.Turn @Asked(value = "Turn either way", first = "4", most = 180) double turn,
                     @Typed.Whole @Asked(value = "Variant", first = "1", most = 999999) int seed, @Typed.Switch boolean agreed)
                             implements VistaEdit {
    public Loosen {
        Questions.check(Loosen.class, panels, offset, zoom, turn, seed, agreed);
    }

    @Override
    public Sheet apply(Sheet before) {
        List<Holder> slices = before.holders(panels).stream().filter(p -> p.slice().isPresent()).toList();
        BadInput.unless(!slices.isEmpty(), "panels", "None of these panels shows a vista.");
        boolean still = offset == 0 && zoom == 0 && turn == 0;
        List<Holder> byHand = slices.stream().filter(p -> {
            Nudge nudge = p.sliced().orElseThrow().nudge();
            return !nudge.equals(Nudge.NONE) && !nudge.loosened();
        }).toList();
        if (!agreed && !still && !byHand.isEmpty()) {
            throw new AskFirst((byHand.size() == 1 ? byHand.get(0).name() + " was" : byHand.size() + " slices were")
                    + " nudged by hand. Loosening gives " + (byHand.size() == 1 ? "it" : "them") + " another place.");
        }
        Random chance = new Random(seed);
        Map<String, Nudge> nudges = new HashMap<>();
        for (Holder panel : slices) {
            if (still) nudges.put(panel.id(), Nudge.NONE);
            else nudges.put(panel.id(), new Nudge(either(chance) * offset, either(chance) * offset, 1 + chance.nextDouble() * zoom,
                    either(chance) * turn, true));
        }
        return before.holding(nudges.keySet(), p -> p.changingSlices(slice -> slice.nudged(nudges.get(p.id()))));
    }

    private static double either(Random chance) {
        return chance.nextDouble() * 2 - 1;
    }

    @Override
    public Loosen agreedTo() {
        return new Loosen(panels, offset, zoom, turn, seed, true);
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(offset == 0 && zoom == 0 && turn == 0 ? "Back in register" : "Loosen", before, panels);
    }
}
