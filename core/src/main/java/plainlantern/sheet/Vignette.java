package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Optional;
import java.util.stream.DoubleStream;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;

/**
 * Darker or lighter towards the corners of a box.
 *
 * @param edge   light in the corners: -1 is three stops less, 1 three more
 * @param begins how far from the middle (0) to a corner (1) it begins
 * @param frame  from shares of the picture's width and height to the box, whose sides are at -1 and 1: of a picture that left its vista
 *               and keeps that one's vignette; absent for the box of the picture's own form, or of its vista
 */
public record Vignette(@Asked(value = "Corners", least = -1, most = 1) @Typed.Share double edge,
        @Asked(value = "Begins", most = 0.95) @Typed.Share double begins,
        @JsonInclude(JsonInclude.Include.NON_ABSENT) Optional<Affine> frame) {
    public static final Vignette FIRST = new Vignette(0, 0.4);
    /** A frame with larger numbers shows no picture. */
    private static final double LARGEST = 1e9;

    public Vignette {
        frame = frame == null ? Optional.empty() : frame;
        Questions.check(Vignette.class, edge, begins);
        BadInput.unless(frame.stream().flatMapToDouble(map -> DoubleStream.of(map.a(), map.b(), map.c(), map.d(), map.e(), map.f()))
                .allMatch(number -> Math.abs(number) <= LARGEST), "frame", "A vignette can't be spread like that.");
    }

    /** Over the box of the picture's form, or of its vista. */
    public Vignette(double edge, double begins) {
        this(edge, begins, Optional.empty());
    }

    public Vignette withFrame(Optional<Affine> newFrame) {
        return new Vignette(edge, begins, newFrame);
    }
}
