package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;

/**
 * What is done to a picture's pixels before they are painted; its file stays as it is.
 *
 * @param cleared the plain background that is taken out
 * @param under   a tone that comes before its own: of the vista whose slice it is, or was before it left
 * @param tone    what is done to its colours
 * @param off     whether that is switched off for now
 */
public record Treatment(Optional<Cleared> cleared,
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Neutral.LeftOut.class) Tone under,
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Neutral.LeftOut.class) Tone tone,
        @Typed.Switch @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean off) {
    public static final Treatment NONE = new Treatment(Optional.empty(), Tone.NEUTRAL, Tone.NEUTRAL, false);

    public Treatment {
        cleared = cleared == null ? Optional.empty() : cleared;
        under = under == null ? Tone.NEUTRAL : under;
        tone = tone == null ? Tone.NEUTRAL : tone;
        off = off && !tone.plain();
    }

    public Treatment clearing(Optional<Cleared> newCleared) {
        return new Treatment(newCleared, under, tone, off);
    }

    /** The same with another tone, switched on. */
    public Treatment toned(Tone newTone) {
        return new Treatment(cleared, under, newTone, false);
    }

    public Treatment switched(boolean nowOff) {
        return new Treatment(cleared, under, tone, nowOff);
    }

    /** Its tone as it is seen. */
    public Tone seen() {
        return off ? Tone.NEUTRAL : tone;
    }

    /** The treatment of a slice of a picture that is treated so: the slice's own tone on top. */
    public Treatment slice(Treatment own) {
        return new Treatment(cleared, seen(), own.tone, own.off);
    }

    /**
     * The same with the vignette of the vista's tone over a box of its own.
     *
     * @param frame see {@link Vignette#frame}; asked for only if there is such a vignette
     */
    public Treatment framed(Supplier<Affine> frame) {
        return under.vignette().isEmpty() ? this : new Treatment(cleared, under.framed(Optional.of(frame.get())), tone, off);
    }

    /** As a picture by itself has it: one tone where one is enough. */
    public Treatment alone() {
        return tone.plain() ? new Treatment(cleared, Tone.NEUTRAL, under, false) : this;
    }

    /** The treatment of a picture that takes another one's place: a tone with a name stays, as it is not about one picture. */
    public Treatment inPlaceOf(Treatment other) {
        return other.tone.named().isPresent() ? toned(other.tone) : this;
    }

    /** The same with its tones changed; what is neutral stays that. */
    public Treatment toning(UnaryOperator<Tone> change) {
        if (under.neutral() && tone.neutral()) return this;
        return new Treatment(cleared, under.neutral() ? under : change.apply(under), tone.neutral() ? tone : change.apply(tone), off);
    }

    /** Whether pixels stay as they are. */
    public boolean none() {
        return cleared.isEmpty() && under.plain() && seen().plain();
    }

    /** Whether it can make opaque pixels clear. */
    public boolean clears() {
        return cleared.isPresent();
    }
}
