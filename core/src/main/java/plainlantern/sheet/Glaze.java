package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.geometry.Box;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;

/**
 * A thin layer over what lies beneath it: within its form that is seen treated. How strongly, and in which way, is its finish's look.
 *
 * @param outline its form
 * @param whole   whether it lies over the whole sheet and its bleed, whatever becomes of their size
 * @param tone    what becomes of the colours, at last
 * @param veil    what hides parts of it
 * @param toneOff whether the tone is switched off for now
 */
@JsonTypeName("glaze")
public record Glaze(Basics basics, Outline outline, @Typed.Switch boolean whole, Through through,
        @JsonInclude(value = JsonInclude.Include.CUSTOM, valueFilter = Neutral.LeftOut.class) Tone tone, Optional<Veil> veil,
        @Typed.Switch @JsonInclude(JsonInclude.Include.NON_DEFAULT) boolean toneOff) implements Holder {
    public Glaze {
        veil = veil == null ? Optional.empty() : veil;
        through = through == null ? Through.CLEAR : through;
        tone = tone == null ? Tone.NEUTRAL : tone;
        toneOff = toneOff && !tone.plain();
        outline = whole ? Rectangle.SHARP : outline;
    }

    /** A clear one with that form. */
    public static Glaze of(Basics basics, Outline outline) {
        return new Glaze(basics, outline, false, Through.CLEAR, Tone.NEUTRAL, Optional.empty(), false);
    }

    /** The same over that box, where it lies over the whole sheet. */
    Glaze over(Box sheet) {
        Seat seat = new Seat(sheet.centre(), sheet.width(), sheet.height(), 0, false);
        return whole && !seat.equals(seat()) ? with(basics.at(seat)) : this;
    }

    public Glaze covering(boolean nowWhole) {
        return new Glaze(basics, outline, nowWhole, through, tone, veil, toneOff);
    }

    public Glaze seeing(Through newThrough) {
        return new Glaze(basics, outline, whole, newThrough, tone, veil, toneOff);
    }

    /** The same with another tone, switched on. */
    public Glaze toned(Tone newTone) {
        return toned(newTone, false);
    }

    /** The same with another tone, which is switched off or not. */
    public Glaze toned(Tone newTone, boolean off) {
        return new Glaze(basics, outline, whole, through, newTone, veil, off);
    }

    /** Its tone as it is seen. */
    public Tone seenTone() {
        return toneOff ? Tone.NEUTRAL : tone;
    }

    public Glaze veiled(Optional<Veil> newVeil) {
        return new Glaze(basics, outline, whole, through, tone, newVeil.flatMap(Veil::kept), toneOff);
    }

    /** Whether it changes nothing of what lies beneath, but for what its finish adds; what is switched off might. */
    public boolean clear() {
        return through.equals(Through.CLEAR) && tone.plain();
    }

    @Override
    public String kind() {
        return "glaze";
    }

    @Override
    public List<Content> content() {
        return List.of();
    }

    @Override
    public boolean takesPictures() {
        return false;
    }

    @Override
    public boolean paints() {
        return true;
    }

    @Override
    public Optional<Glaze> glaze() {
        return Optional.of(this);
    }

    @Override
    public Glaze with(Basics newBasics) {
        return new Glaze(newBasics, outline, whole, through, tone, veil, toneOff);
    }

    @Override
    public Glaze withOutline(Outline newOutline) {
        return new Glaze(basics, newOutline, whole, through, tone, veil, toneOff);
    }

    /** It holds no layers. */
    @Override
    public Glaze withContent(List<Content> none) {
        return this;
    }

    @Override
    public Glaze scaled(double factor) {
        return new Glaze(basics.finished(finish().scaled(factor)), outline.scaled(factor), whole, through.scaled(factor),
                tone.scaled(factor), veil.map(v -> v.scaled(factor)), toneOff);
    }
}
