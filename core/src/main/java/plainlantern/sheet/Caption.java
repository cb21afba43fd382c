package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.outline.Outline;

/**
 * Words on the sheet, on a plate or not.
 *
 * @param outline the form of its plate
 * @param content the plate, where there is one, behind the words
 */
@JsonTypeName("caption")
public record Caption(Basics basics, Outline outline, List<Content> content) implements Holder {
    public Caption {
        content = Holder.checked(content);
    }

    /** The wash behind all its words, where there is one. */
    public Optional<Wash> plate() {
        return content.isEmpty() ? Optional.empty() : content.get(0).wash();
    }

    @Override
    public String kind() {
        return "caption";
    }

    @Override
    public boolean takesPictures() {
        return false;
    }

    @Override
    public Optional<Caption> caption() {
        return Optional.of(this);
    }

    @Override
    public Caption with(Basics newBasics) {
        return new Caption(newBasics, outline, content);
    }

    @Override
    public Caption withOutline(Outline newOutline) {
        return new Caption(basics, newOutline, content);
    }

    @Override
    public Caption withContent(List<Content> newContent) {
        return new Caption(basics, outline, newContent);
    }
}
