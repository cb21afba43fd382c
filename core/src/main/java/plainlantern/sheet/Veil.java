package plainlantern.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.geometry.Projective;

/**
 * Hides parts of a layer or of a glaze softly; what it is of stays as it is.
 *
 * @param off   whether it is switched off for now
 * @param parts what it hides, one after the other
 */
public record Veil(Rests rests, @Typed.Switch boolean off, List<VeilPart> parts) {
    public static final int MOST = 500;

    /**
     * What it moves along with, and the frame in which it is told: of a picture thousandths of its longer side from its upper left corner,
     * of a panel mm from its middle, as the panel is turned.
     */
    public enum Rests implements Choice { PICTURE, PANEL }

    public Veil {
        rests = rests == null ? Rests.PANEL : rests;
        parts = parts == null ? List.of() : List.copyOf(parts);
        BadInput.unless(parts.size() <= MOST, "part", "A veil has at most " + MOST + " parts. Remove some first.");
    }

    /** One that hides nothing yet. */
    public static Veil resting(Rests rests) {
        return new Veil(rests, false, List.of());
    }

    /** Whether it hides nothing. */
    public boolean idle() {
        return off || parts.isEmpty();
    }

    public Veil with(List<VeilPart> newParts) {
        return new Veil(rests, off, newParts);
    }

    public Veil adding(VeilPart part) {
        List<VeilPart> more = new ArrayList<>(parts);
        more.add(part);
        return with(more);
    }

    /** The same with one of its parts changed, or gone; refuses where that is not there. */
    public Veil changing(int at, Function<VeilPart, Optional<VeilPart>> change) {
        BadInput.unless(at >= 0 && at < parts.size(), "at", "That part of the veil is no longer there.");
        List<VeilPart> next = new ArrayList<>(parts);
        VeilPart was = next.remove(at);
        change.apply(was).ifPresent(part -> next.add(at, part));
        return with(next);
    }

    public Veil changing(UnaryOperator<VeilPart> change) {
        return with(parts.stream().map(change).toList());
    }

    public Veil switched(boolean nowOff) {
        return new Veil(rests, nowOff, parts);
    }

    /** The same in another frame. */
    public Veil resting(Rests newRests, Projective map) {
        return new Veil(newRests, off, parts.stream().map(part -> part.mapped(map)).toList());
    }

    Veil scaled(double factor) {
        return changing(part -> part.scaled(factor, rests == Rests.PANEL));
    }

    /** The panels whose forms it takes. */
    public List<String> forms() {
        return parts.stream().filter(VeilPart.Form.class::isInstance).map(part -> ((VeilPart.Form) part).panel()).distinct().toList();
    }

    /** The same with the forms of other panels: by their ids those that come instead; what has none is left out. */
    public Veil naming(Function<String, Optional<String>> others) {
        return with(parts.stream().flatMap(part -> part instanceof VeilPart.Form form
                ? others.apply(form.panel()).<VeilPart>map(form::of).stream() : Stream.of(part)).toList());
    }

    /** For constructors of what is no picture: the veil, where it could have that. */
    static Optional<Veil> pictureless(Optional<Veil> veil) {
        Optional<Veil> worn = veil == null ? Optional.empty() : veil;
        BadInput.unless(worn.stream().noneMatch(v -> v.rests() == Rests.PICTURE), "rests",
                "This veil rests on a picture, and here is none. Let it rest on the panel first.");
        BadInput.unless(worn.stream().flatMap(v -> v.parts().stream()).noneMatch(VeilPart.Colours.class::isInstance), "part",
                "Only pictures and glazes are hidden by a colour.");
        return worn;
    }

    /** Present where there is anything in it. */
    public Optional<Veil> kept() {
        return parts.isEmpty() ? Optional.empty() : Optional.of(this);
    }
}
