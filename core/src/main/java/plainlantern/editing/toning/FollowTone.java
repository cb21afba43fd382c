package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Tone;

/** Gives pictures a tone of the sheet, which they follow from now on; without one they follow none any more and look as before. */
@JsonTypeName("follow-tone")
public record FollowTone(Aim of, Optional<String> tone) implements ToningEdit {
    @Override
    public Sheet apply(Sheet before) {
        Optional<Tone> given = tone.map(id -> before.styles().tone(id).tone());
        return of.replacing(before, was -> given.orElseGet(() -> was.following(Optional.empty())));
    }

    @Override
    public String title(Sheet before) {
        return of.title(tone.map(id -> "Tone " + before.styles().tone(id).name()).orElse("A tone of its own"), before);
    }
}
