package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** Something on the sheet that has a depth. All kinds are placed, dressed and stacked in the same ways. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({@JsonSubTypes.Type(Panel.class), @JsonSubTypes.Type(Float.class), @JsonSubTypes.Type(Caption.class),
        @JsonSubTypes.Type(Rule.class), @JsonSubTypes.Type(Glaze.class)})
public sealed interface Element permits Holder, Rule {
    Basics basics();

    /** The same kind with the same content and other basics. */
    Element with(Basics newBasics);

    /** What people call its kind: "panel", "rule". */
    String kind();

    /** The form in its own frame, origin at its centre. */
    Path ownPath();

    /** The same under another id, in no group, neither locked nor hidden. */
    default Element copied(String newId, String newName) {
        return with(new Basics(newId, newName, false, false, "", seat(), finish()));
    }

    /** It as one that holds layers, where it does. */
    default Optional<Holder> holder() {
        return Optional.empty();
    }

    /** It as a placeholder with a form, where it is one. */
    default Optional<Panel> panel() {
        return Optional.empty();
    }

    /** It as a picture without a form, where it is one. */
    default Optional<Float> afloat() {
        return Optional.empty();
    }

    /** It as words on the sheet, where it is that. */
    default Optional<Caption> caption() {
        return Optional.empty();
    }

    /** It as what shows what lies beneath it treated, where it is that. */
    default Optional<Glaze> glaze() {
        return Optional.empty();
    }

    /** It as a line, where it is one. */
    default Optional<Rule> rule() {
        return Optional.empty();
    }

    /** The same with what it holds changed; one that holds nothing stays. */
    default Element holding(Function<Holder, ? extends Element> change) {
        return this;
    }

    /** The same in a sheet that is so many times as large: its letters, radii, and its finish; not its seat. */
    default Element scaled(double factor) {
        return with(basics().finished(finish().scaled(factor)));
    }

    default String id() {
        return basics().id();
    }

    default String name() {
        return basics().name();
    }

    default boolean locked() {
        return basics().locked();
    }

    default boolean hidden() {
        return basics().hidden();
    }

    default String group() {
        return basics().group();
    }

    default Seat seat() {
        return basics().seat();
    }

    default Finish finish() {
        return basics().finish();
    }

    default Element named(String newName) {
        return with(basics().named(newName));
    }

    default Element lockedTo(boolean nowLocked) {
        return with(basics().lockedTo(nowLocked));
    }

    default Element grouped(String newGroup) {
        return with(basics().grouped(newGroup));
    }

    default Element withSeat(Seat newSeat) {
        return with(basics().at(newSeat));
    }

    default Element finished(Finish newFinish) {
        return with(basics().finished(newFinish));
    }

    /** Whether anything of it would be seen. */
    default boolean paints() {
        return finish().rim().isPresent();
    }

    default Path pathOnSheet() {
        return ownPath().mapped(seat().toSheet());
    }

    /**
     * The upright box around it on the sheet. Of what stands level it is the seat's own, which corners that are rounded may not reach:
     * place and size are told of one box.
     */
    default Box boundsOnSheet() {
        Seat seat = seat();
        if (seat.turn() % 90 != 0) return pathOnSheet().bounds();
        boolean upright = seat.turn() % 180 == 0;
        return Box.around(seat.centre(), upright ? seat.width() : seat.height(), upright ? seat.height() : seat.width());
    }

    /** "4 rules", "1 panel"; "3 elements" where they are of several kinds. */
    static String counted(Collection<? extends Element> elements) {
        List<String> kinds = elements.stream().map(Element::kind).distinct().toList();
        String what = kinds.size() == 1 ? kinds.get(0) : kinds.isEmpty() ? "panel" : "element";
        return elements.size() + " " + what + (elements.size() == 1 ? "" : "s");
    }

    /** Its seat when the sheet around {@code fixed} grows so much wider and higher, see {@link Seat#stretched}. */
    default Seat stretched(Point fixed, double fx, double fy) {
        return seat().stretched(fixed, fx, fy);
    }

    /** The same in that seat, with what it holds as {@code refit} makes it of it there and of it before. */
    default Element seated(Seat newSeat, BiFunction<Holder, Holder, ? extends Element> refit) {
        return holder().<Element>map(was -> refit.apply(was, was.withSeat(newSeat))).orElseGet(() -> withSeat(newSeat));
    }
}
