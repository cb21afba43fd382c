package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Titles;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Bends and blurs pictures, and what glazes show, as another one is.
 *
 * @param from   the element that is
 * @param layer  which picture of it; of the others the frontmost
 * @param panels those that get it
 */
@JsonTypeName("copy-bend")
public record CopySeen(String from, @Typed.Layer int layer, List<String> panels) implements GlazingEdit {
    public CopySeen {
        panels = panels == null ? List.of() : panels.stream().filter(id -> !id.equals(from)).toList();
        BadInput.unless(!panels.isEmpty(), "panels", "Select the others, too; the first stays as it is.");
    }

    @Override
    public Sheet apply(Sheet before) {
        Holder giver = before.holders(List.of(from)).get(0);
        Optional<Through> given = giver.glaze().map(Glaze::through)
                .or(() -> giver.picture(layer).map(picture -> picture.through().orElse(Through.CLEAR)));
        Through like = given.orElseThrow(() -> new BadInput("panels", "There is no picture in there yet."));
        return GlazingEdit.seeing(before, panels, Typed.FRONTMOST, was -> new Through(like.blur(), was.dx(), was.dy(), like.bend(),
                like.off()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Copy blur and bend", before, panels);
    }
}
