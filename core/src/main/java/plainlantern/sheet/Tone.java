package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.geometry.Affine;

/**
 * How a picture's colours and lightness are changed, in the order of its components; each is neutral at first. Steps are done on
 * linear light or on OKLab (Ottosson 2020), as each says.
 *
 * @param named      the id of the tone of the sheet that it follows, see {@link NamedTone}
 * @param table      a table of colours from a file
 * @param brightness colours by brightness
 * @param vignette   towards the corners of the form's box
 * @param texture    grain and sharpening, sized in mm on the sheet
 */
@JsonInclude(JsonInclude.Include.NON_ABSENT)
public record Tone(Optional<String> named,
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Neutral.LeftOut.class) Balance balance,
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Neutral.LeftOut.class) Levels levels,
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Neutral.LeftOut.class) Colouring colouring,
        Optional<ColourTable> table, Optional<ByBrightness> brightness, Optional<Vignette> vignette, Optional<Texture> texture)
        implements Neutral {
    public static final Tone NEUTRAL = new Tone(Optional.empty(), Balance.NEUTRAL, Levels.NEUTRAL, Colouring.NEUTRAL, Optional.empty(),
            Optional.empty(), Optional.empty(), Optional.empty());

    public Tone {
        named = named == null ? Optional.empty() : named;
        balance = balance == null ? Balance.NEUTRAL : balance;
        levels = levels == null ? Levels.NEUTRAL : levels;
        colouring = colouring == null ? Colouring.NEUTRAL : colouring;
        table = table == null ? Optional.empty() : table;
        brightness = brightness == null ? Optional.empty() : brightness;
        // What is not seen is not kept: nothing else would tell that it is neutral.
        vignette = vignette == null ? Optional.empty() : vignette.filter(v -> v.edge() != 0);
        texture = texture == null ? Optional.empty() : texture.filter(t -> t.grain() != 0 || t.sharp() != 0);
    }

    /** Whether pixels stay as they are; one that follows a name may be that, too. */
    public boolean plain() {
        return following(Optional.empty()).equals(NEUTRAL);
    }

    @Override
    public boolean neutral() {
        return equals(NEUTRAL);
    }

    /** Whether it depends on where on the sheet the picture is. */
    public boolean placed() {
        return vignette.isPresent() || texture.isPresent();
    }

    public Tone following(Optional<String> newNamed) {
        return new Tone(newNamed, balance, levels, colouring, table, brightness, vignette, texture);
    }

    public Tone balanced(Balance newBalance) {
        return new Tone(named, newBalance, levels, colouring, table, brightness, vignette, texture);
    }

    public Tone levelled(Levels newLevels) {
        return new Tone(named, balance, newLevels, colouring, table, brightness, vignette, texture);
    }

    public Tone coloured(Colouring newColouring) {
        return new Tone(named, balance, levels, newColouring, table, brightness, vignette, texture);
    }

    public Tone tabled(Optional<ColourTable> newTable) {
        return new Tone(named, balance, levels, colouring, newTable, brightness, vignette, texture);
    }

    public Tone brightened(Optional<ByBrightness> newBrightness) {
        return new Tone(named, balance, levels, colouring, table, newBrightness, vignette, texture);
    }

    public Tone vignetted(Optional<Vignette> newVignette) {
        return new Tone(named, balance, levels, colouring, table, brightness, newVignette, texture);
    }

    /** The same with its vignette over that box of its own, or over the form's, see {@link Vignette#frame}. */
    public Tone framed(Optional<Affine> frame) {
        return vignette.filter(v -> !v.frame().equals(frame)).map(v -> vignetted(Optional.of(v.withFrame(frame)))).orElse(this);
    }

    public Tone textured(Optional<Texture> newTexture) {
        return new Tone(named, balance, levels, colouring, table, brightness, vignette, newTexture);
    }

    /** The same in a sheet that is so many times as large. */
    public Tone scaled(double factor) {
        return textured(texture.map(t -> t.scaled(factor)));
    }

    /** The same with each of its colours replaced. */
    public Tone recoloured(UnaryOperator<Colour> change) {
        return brightened(brightness.map(b -> b.recoloured(change)));
    }
}
