package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import plainlantern.editing.Outside;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Sheet;

/**
 * Sets the black and the white point of each picture to where its darkest and its lightest parts are.
 *
 * @param points by picture, as their pixels tell
 */
@JsonTypeName("even-tone")
public record EvenTone(Aim of, List<Found> points) implements ToningEdit {
    /** The points of one picture, see {@link Levels}. */
    public record Found(Aim.Meant of, double black, double white) {}

    public EvenTone {
        points = points == null ? List.of() : List.copyOf(points);
    }

    @Override
    public EvenTone completed(Outside outside, Sheet before) {
        return new EvenTone(of, of.pictures(before).stream().map(meant -> {
            Levels found = outside.evened(meant.picture(), meant.treatment());
            return new Found(meant, found.black(), found.white());
        }).toList());
    }

    @Override
    public Sheet apply(Sheet before) {
        Map<Aim.Meant, Found> byPicture = new HashMap<>();
        points.forEach(found -> byPicture.put(found.of(), found));
        return of.changing(before, (meant, tone) -> {
            Found found = byPicture.get(meant);
            Levels l = tone.levels();
            return found == null ? tone : tone.levelled(new Levels(found.black(), found.white(), l.contrast(), l.shadows(), l.highlights(),
                    l.fine(), l.broad()));
        });
    }

    @Override
    public String title(Sheet before) {
        return of.title("Even", before);
    }
}
