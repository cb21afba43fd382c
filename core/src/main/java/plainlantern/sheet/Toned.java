package plainlantern.sheet;

import java.util.Optional;

/**
 * One of the tones that a picture is painted with.
 *
 * @param lying where the picture lies, present where the tone depends on that
 */
public record Toned(Tone tone, Optional<Lying> lying) {
    public Toned {
        tone = tone.following(Optional.empty());
        lying = lying == null || !tone.placed() ? Optional.empty() : lying;
    }

    /** Without what depends on where the picture lies. */
    public Toned anywhere() {
        return new Toned(tone.vignetted(Optional.empty()).textured(Optional.empty()), Optional.empty());
    }
}
