package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import plainlantern.asking.Typed;
import plainlantern.sheet.Sheet;

/** Switches tones off, or on again; their values stay. Whatever is set of one switches it on. */
@JsonTypeName("switch-tone")
public record SwitchTone(Aim of, @Typed.Switch boolean off) implements ToningEdit {
    @Override
    public Sheet apply(Sheet before) {
        return of.switching(before, off);
    }

    @Override
    public String title(Sheet before) {
        return of.title(off ? "Tone off" : "Tone on", before);
    }
}
