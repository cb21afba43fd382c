package plainlantern.sheet;

import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;

/**
 * From where on something counts as a fault on a sheet. The first values are common practice.
 *
 * @param safety   what must be seen stays so far from the trim, mm
 * @param focal    a focal point stays so far from its panel's edge, as a share of its shorter side
 * @param aligned  edges that are so near to one line are meant to be on it, mm
 * @param sliver   nothing is thinner, mm
 * @param rim      no line is thinner, mm
 * @param contrast no words stand out less, the ratio of WCAG 2.2
 * @param clipped  no tone cuts off a larger share of a picture in black or white; 0 where nobody looks for that
 */
public record Limits(@Typed.Length double safety, @Typed.Share double focal, @Typed.Length double aligned, @Typed.Length double sliver,
        @Typed.Length double rim,
                     @Typed.Number double contrast, @Typed.ShareOrZero double clipped) {
    /** 3 mm safety, 5 % for focal points, 0.5 mm for alignment, 2 mm for slivers, 0.25 pt for lines, 4.5 : 1 for words, 2 % in tones. */
    public static final Limits FIRST = new Limits(3, 0.05, 0.5, 2, 0.25 * 25.4 / 72, 4.5, 0.02);

    public Limits {
        for (double length : new double[] {safety, aligned, sliver, rim})
            BadInput.unless(length >= 0 && length <= 100, "limits", "A limit is a length from 0 to 100 mm.");
        BadInput.unless(focal >= 0 && focal <= 0.5, "focal", "A focal point's distance goes from 0 to 50 %.");
        BadInput.unless(clipped >= 0 && clipped <= 1, "clipped", "A share that is cut off goes from 0 to 100 %.");
        BadInput.unless(contrast >= 1 && contrast <= 21, "contrast", "A contrast goes from 1 to 21.");
    }
}
