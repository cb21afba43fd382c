package plainlantern.editing.placing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.editing.Added;
import plainlantern.editing.Remark;
import plainlantern.sheet.Element;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * Puts what was drawn elsewhere in front of all else, with the pictures it shows. Only the program makes this one: it vouches for the
 * pictures.
 *
 * @param says what is to be said of it
 */
@JsonTypeName("bring-drawing")
public record BringDrawing(List<Element> elements, List<Picture> pictures, String says) implements PlacingEdit {
    public BringDrawing {
        elements = List.copyOf(elements);
        pictures = List.copyOf(pictures);
    }

    @Override
    public Sheet apply(Sheet before) {
        return new Paste(elements, pictures, 0, 0).apply(before);
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        return Optional.of(Remark.of(says));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return "Bring a drawing: " + (elements.size() == 1 ? elements.get(0).name() : Element.counted(elements));
    }
}
