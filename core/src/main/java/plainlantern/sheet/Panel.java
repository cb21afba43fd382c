package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonAlias;
import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Typed;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.outline.Straight;

/** A form and where it is, with what it shows from back to front: a shaped placeholder, or whatever else its role says. */
@JsonTypeName("panel")
public record Panel(String id, String name, @Typed.Switch boolean locked, @Typed.Switch boolean hidden, @JsonAlias("floating") Role role, String group, Outline outline, Seat seat,
                    List<Content> content, Finish finish) implements Element {
    public static final int MOST_LAYERS = 40;
    private static final int LONGEST_NAME = 200;

    public Panel {
        role = role == null ? Role.PANEL : role;
        group = group == null ? "" : group;
        finish = finish == null ? Finish.NONE : finish;
        content = List.copyOf(content);
        Ids.checked(id);
        if (!group.isEmpty()) Ids.checked(group);
        BadInput.unless(name.length() <= LONGEST_NAME, "name", "A panel's name has at most " + LONGEST_NAME + " characters.");
        BadInput.unless((role == Role.RULE) == (outline instanceof Straight), "panels", "A rule is straight, and nothing else is; its form stays.");
        BadInput.unless(role != Role.RULE || content.isEmpty(), "panels", "A rule is a line: nothing can be put into it.");
        if (role == Role.RULE && finish.rim().isEmpty()) finish = finish.rimmed(Optional.of(Rim.RULE));
        BadInput.unless(content.size() <= MOST_LAYERS, "panels", "A panel holds at most " + MOST_LAYERS + " layers.");
        BadInput.unless(content.stream().filter(Content.VistaSlice.class::isInstance).count() <= 1, "panels", "A panel shows one vista at a time.");
    }

    /** A new panel in no group that shows nothing yet. */
    public static Panel empty(String id, String name, Outline outline, Seat seat) {
        return new Panel(id, name, false, false, Role.PANEL, "", outline, seat, List.of(), Finish.NONE);
    }

    /** The same as what that role says. */
    public Panel as(Role newRole) {
        return new Panel(id, name, locked, hidden, newRole, group, outline, seat, content, finish);
    }

    /** The form in the panel's own frame, origin at its centre. */
    public Path ownPath() {
        return outline.path(seat.width(), seat.height());
    }

    public Path pathOnSheet() {
        return ownPath().mapped(seat.toSheet());
    }

    /**
     * The upright box around it on the sheet. Of what stands level it is the seat's own, which corners that are rounded may not reach:
     * place and size are told of one box.
     */
    public Box boundsOnSheet() {
        boolean level = seat.turn() % 90 == 0 && !(outline instanceof Straight);
        if (!level) return pathOnSheet().bounds();
        boolean upright = seat.turn() % 180 == 0;
        return Box.around(seat.centre(), upright ? seat.width() : seat.height(), upright ? seat.height() : seat.width());
    }

    /** The layer that edits of its picture mean: {@code wanted} where that is a picture, else the frontmost that is one; -1 where none is. */
    public int acting(int wanted) {
        if (wanted >= 0 && wanted < content.size() && seen(wanted)) return wanted;
        for (int i = content.size() - 1; i >= 0; i--) if (seen(i)) return i;
        return -1;
    }

    /** Whether the layer there is a picture that is switched on. */
    private boolean seen(int layer) {
        return content.get(layer).pictured() && !content.get(layer).look().off();
    }

    /** What it shows: all layers but those that are switched off, from back to front. */
    public List<Content> shown() {
        return content.stream().filter(layer -> !layer.look().off()).toList();
    }

    /** The frontmost picture that the panel shows, if it is one of its own. */
    @JsonIgnore
    public Optional<Content.OwnPicture> picture() {
        int at = acting(-1);
        return at >= 0 && content.get(at) instanceof Content.OwnPicture own ? Optional.of(own) : Optional.empty();
    }

    /** What the panel shows of a vista, if it is one of its members. */
    @JsonIgnore
    public Optional<Content.VistaSlice> slice() {
        return content.stream().filter(Content.VistaSlice.class::isInstance).map(Content.VistaSlice.class::cast).findFirst();
    }

    /** The same panel with the layer at that index replaced by what {@code change} makes of it. */
    public Panel changingLayer(int at, UnaryOperator<Content> change) {
        List<Content> next = new ArrayList<>(content);
        next.set(at, change.apply(next.get(at)));
        return withContent(next);
    }

    /** The same panel with {@code picture} in place of the picture that edits mean; behind all other layers where there was none. */
    public Panel showing(int layer, Content picture) {
        int at = acting(layer);
        if (at >= 0) return changingLayer(at, was -> picture.looking(was.look()));
        List<Content> next = new ArrayList<>(content);
        next.add(0, picture);
        return withContent(next);
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
        return new Panel(id, newName, locked, hidden, role, group, outline, seat, content, finish);
    }

    /** The same under another id, in no group, neither locked nor hidden; a rule that followed a seam lies free. */
    public Panel copied(String newId, String newName) {
        return new Panel(newId, newName, false, false, role, "", outline instanceof Straight ? Straight.FREE : outline, seat, content, finish);
    }

    public Panel lockedTo(boolean nowLocked) {
        return new Panel(id, name, nowLocked, hidden, role, group, outline, seat, content, finish);
    }

    public Panel hiddenTo(boolean nowHidden) {
        return new Panel(id, name, locked, nowHidden, role, group, outline, seat, content, finish);
    }

    public Panel grouped(String newGroup) {
        return new Panel(id, name, locked, hidden, role, newGroup, outline, seat, content, finish);
    }

    public Panel withOutline(Outline newOutline) {
        return new Panel(id, name, locked, hidden, role == Role.FLOAT && !newOutline.equals(Rectangle.SHARP) ? Role.PANEL : role, group, newOutline, seat, content, finish);
    }

    /** The same as a float, in the box of its seat. */
    public Panel afloat() {
        return new Panel(id, name, locked, hidden, Role.FLOAT, group, Rectangle.SHARP, seat, content, finish);
    }

    public Panel withSeat(Seat newSeat) {
        return new Panel(id, name, locked, hidden, role, group, outline, newSeat, content, finish);
    }

    public Panel withContent(List<Content> newContent) {
        return new Panel(id, name, locked, hidden, role, group, outline, seat, newContent, finish);
    }

    public Panel finished(Finish newFinish) {
        return new Panel(id, name, locked, hidden, role, group, outline, seat, content, newFinish);
    }
}
