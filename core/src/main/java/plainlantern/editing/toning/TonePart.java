package plainlantern.editing.toning;

import plainlantern.asking.Choice;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Tone;

/** The parts in which a tone is copied and removed. */
public enum TonePart implements Choice {
    LIGHT("Light and white balance"), LEVELS("Contrast"), COLOUR("Colour"), TABLE("Colour table"), BRIGHTNESS("Colours by brightness"),
    VIGNETTE("Vignette"), TEXTURE("Grain and sharpening");

    private final String title;

    TonePart(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** A tone with this part of another one. */
    Tone taken(Tone own, Tone given) {
        return switch (this) {
            case LIGHT -> own.balanced(given.balance());
            case LEVELS -> own.levelled(given.levels());
            case COLOUR -> own.coloured(given.colouring());
            case TABLE -> own.tabled(given.table());
            case BRIGHTNESS -> own.brightened(given.brightness());
            case VIGNETTE -> own.vignetted(given.vignette());
            case TEXTURE -> own.textured(given.texture());
        };
    }

    /** Whether a tone has anything in this part. */
    public boolean in(Tone tone) {
        return switch (this) {
            case LIGHT -> !tone.balance().equals(Balance.NEUTRAL);
            case LEVELS -> !tone.levels().equals(Levels.NEUTRAL);
            case COLOUR -> !tone.colouring().equals(Colouring.NEUTRAL);
            case TABLE -> tone.table().isPresent();
            case BRIGHTNESS -> tone.brightness().isPresent();
            case VIGNETTE -> tone.vignette().isPresent();
            case TEXTURE -> tone.texture().isPresent();
        };
    }
}
