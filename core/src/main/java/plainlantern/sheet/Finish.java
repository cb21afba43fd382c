package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * What surrounds a panel, and how it meets what lies behind it.
 *
 * @param named   the id of the finish of the sheet that it follows, see {@link NamedFinish}
 * @param rim     the line around its form
 * @param shadow  what it casts behind itself
 * @param inner   what its edge casts into it, under the rim
 * @param ground  what its picture casts on the ground at its foot
 * @param feather over how many mm from its edge inward what it shows fades in; 0 for a hard edge
 * @param look    of the whole panel, rim and shadow and all
 */
public record Finish(Optional<String> named, Optional<Rim> rim, Optional<Shadow> shadow, Optional<Shadow> inner,
        Optional<GroundShadow> ground,
                     @Typed.OrZero double feather, Look look) {
    public static final Finish NONE = new Finish(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(),
            Optional.empty(), 0, Look.PLAIN);

    @JsonCreator
    public Finish {
        named = named == null ? Optional.empty() : named;
        rim = rim == null ? Optional.empty() : rim;
        shadow = shadow == null ? Optional.empty() : shadow;
        inner = inner == null ? Optional.empty() : inner;
        ground = ground == null ? Optional.empty() : ground;
        look = look == null ? Look.PLAIN : look;
        BadInput.unless(feather >= 0 && feather <= Shadow.MOST, "feather", "A soft edge is 0 to 500 mm wide: 0 is a hard edge.");
    }

    /** The same following that finish of the sheet, or none. */
    public Finish following(Optional<String> newNamed) {
        return new Finish(newNamed, rim, shadow, inner, ground, feather, look);
    }

    public Finish rimmed(Optional<Rim> newRim) {
        return new Finish(named, newRim, shadow, inner, ground, feather, look);
    }

    public Finish shadowed(Optional<Shadow> newShadow) {
        return new Finish(named, rim, newShadow, inner, ground, feather, look);
    }

    public Finish shadowedInside(Optional<Shadow> newInner) {
        return new Finish(named, rim, shadow, newInner, ground, feather, look);
    }

    public Finish grounded(Optional<GroundShadow> newGround) {
        return new Finish(named, rim, shadow, inner, newGround, feather, look);
    }

    public Finish feathered(double newFeather) {
        return new Finish(named, rim, shadow, inner, ground, newFeather, look);
    }

    public Finish looking(Look newLook) {
        return new Finish(named, rim, shadow, inner, ground, feather, newLook);
    }

    /** The same in a sheet that is so many times as large: rim, shadows and soft edge. */
    public Finish scaled(double factor) {
        return new Finish(named, rim.map(r -> r.scaled(factor)), shadow.map(s -> s.scaled(factor)),
                inner.map(s -> s.scaled(factor)), ground,
                Math.min(Shadow.MOST, feather * factor), look);
    }

    /** The same with each of its colours replaced. */
    public Finish recoloured(UnaryOperator<Colour> change) {
        return new Finish(named, rim.map(r -> r.coloured(change.apply(r.colour()))), shadow.map(s -> s.coloured(change.apply(s.colour()))),
                inner.map(s -> s.coloured(change.apply(s.colour()))), ground.map(g -> g.coloured(change.apply(g.colour()))), feather, look);
    }
}
