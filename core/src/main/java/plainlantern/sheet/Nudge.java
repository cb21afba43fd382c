package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;

/**
 * A slice's own offset (mm in the panel's frame), zoom and turn (degrees, clockwise) against its vista; turned and zoomed about the
 * panel's middle, then moved.
 *
 * @param loosened whether chance made it, not a hand
 */
@JsonTypeName("nudged")
public record Nudge(double dx, double dy, double zoom, double turn, @Typed.Switch boolean loosened) implements Placement {
    public static final Nudge NONE = new Nudge(0, 0, 1, 0, false);

    public Nudge {
        BadInput.unless(zoom > 0 && Double.isFinite(zoom) && Double.isFinite(dx) && Double.isFinite(dy) && Double.isFinite(turn), "zoom",
                "A nudge needs a zoom above zero.");
    }

    /** The map within the panel's frame. */
    public Affine map() {
        return Affine.move(dx, dy).after(Affine.turn(turn)).after(Affine.scale(zoom, zoom));
    }

    /** The same made by chance, or by hand. */
    public Nudge as(boolean newLoosened) {
        return new Nudge(dx, dy, zoom, turn, newLoosened);
    }

    /** The nudge that a similarity without a mirroring is. */
    public static Nudge of(Affine map) {
        return new Nudge(map.e(), map.f(), map.xScale(), Math.toDegrees(Math.atan2(map.b(), map.a())), false);
    }

    @Override
    public Optional<Nudge> nudge() {
        return Optional.of(this);
    }

    /** The same in a sheet that is so many times as large. */
    public Nudge scaled(double across, double down) {
        return new Nudge(dx * across, dy * down, zoom, turn, loosened);
    }
}
