package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * The shadow on the ground at the foot of what stands there: a soft ellipse under the lowest part of a picture that can be seen,
 * which grows with it.
 *
 * @param width    a share of how wide the picture's foot is
 * @param flatness its height, as a share of its width
 * @param softness the standard deviation of its edge, as a share of its height
 * @param opacity  0 to 1
 * @param down     how far it lies below the foot, as a share of its height
 */
public record GroundShadow(@Typed.Share double width, @Typed.Share double flatness, @Typed.Share double softness,
        @Typed.Share double opacity, @Typed.Share double down, Colour colour) {
    public static final GroundShadow FIRST = new GroundShadow(1.4, 0.16, 0.3, 0.5, 0, Colour.of("#18222B"));

    public GroundShadow {
        BadInput.unless(width > 0 && width <= 20, "width", "A ground shadow is up to 20 times as wide as the foot.");
        BadInput.unless(flatness > 0 && flatness <= 5, "flatness", "It is up to 500 % as high as it is wide.");
        BadInput.unless(softness >= 0 && softness <= 5, "softness", "Softness goes from 0 to 500 %.");
        BadInput.unless(opacity >= 0 && opacity <= 1, "opacity", "Opacity goes from 0 to 100 %.");
        BadInput.unless(Math.abs(down) <= 50, "down", "That is too far away from the foot.");
    }

    public GroundShadow coloured(Colour newColour) {
        return new GroundShadow(width, flatness, softness, opacity, down, newColour);
    }
}
