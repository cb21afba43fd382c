package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;

/** A picture on the sheet without a panel, whose form is the picture's own box; another form trims it, and it is a panel. */
@JsonTypeName("float")
public record Float(Basics basics, List<Content> content) implements Holder {
    public Float {
        content = Holder.checked(content);
    }

    /** What a panel holds as a float, in the box of its seat. */
    public static Float of(Holder holder) {
        return new Float(holder.basics(), holder.content());
    }

    @Override
    public Outline outline() {
        return Rectangle.SHARP;
    }

    @Override
    public String kind() {
        return "float";
    }

    @Override
    public boolean takesPictures() {
        return true;
    }

    @Override
    public Optional<Float> afloat() {
        return Optional.of(this);
    }

    @Override
    public Float with(Basics newBasics) {
        return new Float(newBasics, content);
    }

    @Override
    public Holder withOutline(Outline newOutline) {
        return newOutline.equals(Rectangle.SHARP) ? this : new Panel(basics, newOutline, content);
    }

    @Override
    public Float withContent(List<Content> newContent) {
        return new Float(basics, newContent);
    }
}
