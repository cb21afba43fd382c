package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.outline.Outline;

/** A form and where it is, with what it shows from back to front: a shaped placeholder. */
@JsonTypeName("panel")
public record Panel(Basics basics, Outline outline, List<Content> content) implements Holder {
    public Panel {
        content = Holder.checked(content);
    }

    /** A new panel in no group that shows nothing yet. */
    public static Panel empty(String id, String name, Outline outline, Seat seat) {
        return new Panel(Basics.of(id, name, seat), outline, List.of());
    }

    @Override
    public String kind() {
        return "panel";
    }

    @Override
    public boolean takesPictures() {
        return true;
    }

    @Override
    public Optional<Panel> panel() {
        return Optional.of(this);
    }

    @Override
    public Panel with(Basics newBasics) {
        return new Panel(newBasics, outline, content);
    }

    @Override
    public Panel withOutline(Outline newOutline) {
        return new Panel(basics, newOutline, content);
    }

    @Override
    public Panel withContent(List<Content> newContent) {
        return new Panel(basics, outline, newContent);
    }
}
