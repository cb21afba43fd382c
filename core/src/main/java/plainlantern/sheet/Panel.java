package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Typed;
import plainlantern.outline.Outline;

/** A shaped placeholder: its form, where it is, and what it shows from back to front. */
@JsonTypeName("panel")
public record Panel(String id, String name, @Typed.Switch boolean locked, @Typed.Switch boolean hidden, String group, Outline outline, Seat seat,
                    List<Content> content) implements Element {
    public Panel {
        group = group == null ? "" : group;
        content = List.copyOf(content);
    }

    /** A new panel in no group that shows nothing yet. */
    public static Panel empty(String id, String name, Outline outline, Seat seat) {
        return new Panel(id, name, false, false, "", outline, seat, List.of());
    }

    /** The form in the panel's own frame, origin at its centre. */
    public Path ownPath() {
        return outline.path(seat.width(), seat.height());
    }

    public Path pathOnSheet() {
        return ownPath().mapped(seat.toSheet());
    }

    /** The upright box around the form on the sheet. */
    public Box boundsOnSheet() {
        return pathOnSheet().bounds();
    }

    /** The picture that the panel shows, if it shows one of its own. */
    @JsonIgnore
    public Optional<Content.OwnPicture> picture() {
        return content.stream().filter(Content.OwnPicture.class::isInstance).map(Content.OwnPicture.class::cast).findFirst();
    }

    /** What the panel shows of a vista, if it is one of its members. */
    @JsonIgnore
    public Optional<Content.VistaSlice> slice() {
        return content.stream().filter(Content.VistaSlice.class::isInstance).map(Content.VistaSlice.class::cast).findFirst();
    }

    /** The same panel with each slice of a vista replaced by what {@code change} makes of it. */
    public Panel changingSlices(UnaryOperator<Content> change) {
        List<Content> next = new ArrayList<>();
        for (Content layer : content) next.add(layer instanceof Content.VistaSlice ? change.apply(layer) : layer);
        return withContent(next);
    }

    /** The same panel with each picture of its own replaced by what {@code change} makes of it. */
    public Panel changingPictures(UnaryOperator<Content.OwnPicture> change) {
        List<Content> next = new ArrayList<>();
        for (Content layer : content) next.add(layer instanceof Content.OwnPicture own ? change.apply(own) : layer);
        return withContent(next);
    }

    public Panel named(String newName) {
        return new Panel(id, newName, locked, hidden, group, outline, seat, content);
    }

    /** The same under another id, in no group, neither locked nor hidden. */
    public Panel copied(String newId, String newName) {
        return new Panel(newId, newName, false, false, "", outline, seat, content);
    }

    public Panel lockedTo(boolean nowLocked) {
        return new Panel(id, name, nowLocked, hidden, group, outline, seat, content);
    }

    public Panel hiddenTo(boolean nowHidden) {
        return new Panel(id, name, locked, nowHidden, group, outline, seat, content);
    }

    public Panel grouped(String newGroup) {
        return new Panel(id, name, locked, hidden, newGroup, outline, seat, content);
    }

    public Panel withOutline(Outline newOutline) {
        return new Panel(id, name, locked, hidden, group, newOutline, seat, content);
    }

    public Panel withSeat(Seat newSeat) {
        return new Panel(id, name, locked, hidden, group, outline, newSeat, content);
    }

    public Panel withContent(List<Content> newContent) {
        return new Panel(id, name, locked, hidden, group, outline, seat, newContent);
    }
}
