package plainlantern.editing.toning;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.sheet.NamedTone;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;

/**
 * Keeps the tone of the first of the pictures under a name, which all of them follow from now on; or gives another name to one that is
 * kept.
 */
@JsonTypeName("name-tone")
public record NameTone(Optional<Aim> of, Optional<String> tone, String name) implements ToningEdit {
    @Override
    public Sheet apply(Sheet before) {
        Styles styles = before.styles();
        if (tone.isPresent()) {
            styles.tone(tone.get());
            return before.withStyles(styles.withTones(styles.tones().stream().map(t -> t.id().equals(tone.get())
                    ? new NamedTone(t.id(), name, t.tone()) : t).toList()));
        }
        Aim meant = of.orElseThrow(() -> new BadInput("panels", "Select a picture first."));
        NamedTone kept = new NamedTone("t" + (styles.lastId() + 1), name, meant.first(before).treatment().tone());
        List<NamedTone> tones = new ArrayList<>(styles.tones());
        tones.add(kept);
        return new FollowTone(meant, Optional.of(kept.id())).apply(before.withStyles(styles.withTones(tones, styles.lastId() + 1)));
    }

    @Override
    public String title(Sheet before) {
        return "Name tone: " + name.strip();
    }
}
