package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;

/**
 * Takes tones, or parts of them, away from pictures.
 *
 * @param parts which parts; none means all
 */
@JsonTypeName("clear-tone")
public record ClearTone(Aim of, Set<TonePart> parts) implements ToningEdit {
    public ClearTone {
        parts = parts == null || parts.isEmpty() ? EnumSet.allOf(TonePart.class) : EnumSet.copyOf(parts);
    }

    @Override
    public Sheet apply(Sheet before) {
        return of.changing(before, tone -> {
            Tone left = tone;
            for (TonePart part : parts) left = part.taken(left, Tone.NEUTRAL);
            return left;
        });
    }

    @Override
    public String title(Sheet before) {
        return of.title(parts.size() == 1 ? "No " + parts.iterator().next().title().toLowerCase(Locale.ROOT) : "No tone", before);
    }
}
