package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;

/**
 * One colour, or several that run into each other.
 *
 * @param stops the colours in order; a single one fills the whole panel
 * @param turn  which way they run, as CSS Images 3 has it: 0 upward, 90 to the right; from corner to corner of the panel's box
 * @param round whether they run from the middle of the panel's box outward to its corners instead
 * @param veil  what hides parts of it; rests on the panel
 */
@JsonTypeName("wash")
public record Wash(List<Stop> stops, double turn, boolean round, Look look, Optional<Veil> veil) implements Content {
    @JsonCreator
    public Wash {
        veil = Veil.pictureless(veil);
        look = look == null ? Look.PLAIN : look;
        stops = stops.stream().sorted(Comparator.comparingDouble(Stop::at)).toList();
        BadInput.unless(!stops.isEmpty() && stops.size() <= 12, "stops", "A wash has one to twelve colours.");
        BadInput.unless(Double.isFinite(turn), "turn", "This has to be a number of degrees.");
    }

    /** Without a veil. */
    public Wash(List<Stop> stops, double turn, boolean round, Look look) {
        this(stops, turn, round, look, Optional.empty());
    }

    /** One colour all over. */
    public static Wash plain(Colour colour) {
        return new Wash(List.of(new Stop(0, colour, 1)), 180, false, Look.PLAIN);
    }

    /** Whether nothing behind it can be seen. */
    public boolean opaque() {
        return look.equals(Look.PLAIN) && veil.stream().allMatch(Veil::idle) && stops.stream().allMatch(s -> s.opacity() == 1);
    }

    @Override
    public Wash looking(Look newLook) {
        return new Wash(stops, turn, round, newLook, veil);
    }

    @Override
    public Wash veiled(Optional<Veil> newVeil) {
        return new Wash(stops, turn, round, look, newVeil.flatMap(Veil::kept));
    }

    @Override
    public <T> T as(Kinds<T> kinds) {
        return kinds.wash(this);
    }

    @Override
    public Optional<Wash> wash() {
        return Optional.of(this);
    }

    @Override
    public Wash recoloured(UnaryOperator<Colour> change) {
        return new Wash(stops.stream().map(s -> new Stop(s.at(), change.apply(s.colour()), s.opacity())).toList(), turn, round, look,
                veil);
    }

    @Override
    public Wash scaled(double factor) {
        return veiled(veil.map(v -> v.scaled(factor)));
    }
}
