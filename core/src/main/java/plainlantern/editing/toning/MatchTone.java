package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Outside;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;

/**
 * Brings pictures near another one in brightness, contrast and colour, by plain values of their tones.
 *
 * @param like     the one that they get near to
 * @param strength how near, 0 to 1
 * @param found    the tones that do that, by picture, as their pixels tell
 */
@JsonTypeName("match-tone")
public record MatchTone(Aim of, Aim like, @Typed.Share double strength, List<Found> found) implements ToningEdit {
    /** The tone that one picture gets. */
    public record Found(Aim.Meant of, Tone tone) {}

    public MatchTone {
        found = found == null ? List.of() : List.copyOf(found);
        BadInput.unless(strength >= 0 && strength <= 1, "strength", "A strength goes from 0 to 100 %.");
    }

    @Override
    public MatchTone completed(Outside outside, Sheet before) {
        Aim.Meant giver = like.pictures(before).get(0);
        List<Found> all = new ArrayList<>();
        for (Aim.Meant meant : of.pictures(before)) {
            if (!meant.equals(giver)) all.add(new Found(meant, outside.matched(giver.picture(), giver.treatment(), meant.picture(),
                    meant.treatment(), strength)));
        }
        BadInput.unless(!all.isEmpty(), "panels", "Select the pictures that are to come near this one, too; the one clicked last stays.");
        return new MatchTone(of, like, strength, all);
    }

    @Override
    public Sheet apply(Sheet before) {
        Map<Aim.Meant, Tone> byPicture = new HashMap<>();
        found.forEach(one -> byPicture.put(one.of(), one.tone()));
        return of.changing(before, (meant, tone) -> byPicture.getOrDefault(meant, tone));
    }

    @Override
    public String title(Sheet before) {
        return of.title("Match", before);
    }
}
