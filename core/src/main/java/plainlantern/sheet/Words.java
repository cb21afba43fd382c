package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Optional;
import java.util.function.UnaryOperator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;

/**
 * Words, lying free in the panel's frame, or set in its box.
 *
 * @param style  typeface, size and so on
 * @param centre the middle of their block in the panel's frame, mm; of no account in the box
 * @param turn   degrees, clockwise; likewise
 * @param boxed  how they are set in the panel's box, broken into lines that fit it; absent where they lie free
 * @param veil   what hides parts of them; rests on the panel
 */
@JsonTypeName("words")
public record Words(String text, LetterStyle style, Colour colour, Point centre, @Typed.Turn double turn, Optional<Boxed> boxed, Look look,
        Optional<Veil> veil) implements Content {
    public static final int MOST_LETTERS = 2000;

    public Words {
        look = look == null ? Look.PLAIN : look;
        veil = Veil.pictureless(veil);
        boxed = boxed == null ? Optional.empty() : boxed;
        BadInput.unless(!text.isBlank(), "text", "Type the words first.");
        BadInput.unless(text.length() <= MOST_LETTERS, "text", "These are " + text.length() + " letters; a panel takes "
                + MOST_LETTERS + ".");
        BadInput.unless(Double.isFinite(turn) && Math.max(Math.abs(centre.x()), Math.abs(centre.y())) <= Seat.LARGEST, "across",
                "That is too far away from the panel.");
    }

    /** Without a veil. */
    public Words(String text, LetterStyle style, Colour colour, Point centre, double turn, Optional<Boxed> boxed, Look look) {
        this(text, style, colour, centre, turn, boxed, look, Optional.empty());
    }

    /** Words in the middle of a panel, lying free. */
    public static Words of(String text, LetterStyle style, Colour colour) {
        return new Words(text, style, colour, Point.ORIGIN, 0, Optional.empty(), Look.PLAIN);
    }

    public Words at(Point newCentre, double newTurn) {
        return new Words(text, style, colour, newCentre, newTurn, boxed, look, veil);
    }

    public Words styled(LetterStyle newStyle) {
        return new Words(text, newStyle, colour, centre, turn, boxed, look, veil);
    }

    public Words saying(String newText) {
        return new Words(newText, style, colour, centre, turn, boxed, look, veil);
    }

    public Words coloured(Colour newColour) {
        return new Words(text, style, newColour, centre, turn, boxed, look, veil);
    }

    public Words boxed(Optional<Boxed> newBoxed) {
        return new Words(text, style, colour, centre, turn, newBoxed, look, veil);
    }

    @Override
    public Words looking(Look newLook) {
        return new Words(text, style, colour, centre, turn, boxed, newLook, veil);
    }

    @Override
    public Words veiled(Optional<Veil> newVeil) {
        return new Words(text, style, colour, centre, turn, boxed, look, newVeil.flatMap(Veil::kept));
    }

    @Override
    public <T> T as(Kinds<T> kinds) {
        return kinds.words(this);
    }

    @Override
    public Optional<Words> words() {
        return Optional.of(this);
    }

    @Override
    public Words recoloured(UnaryOperator<Colour> change) {
        return coloured(change.apply(colour));
    }

    @Override
    public Words scaled(double factor) {
        return styled(style.scaled(factor)).boxed(boxed.map(b -> new Boxed(b.padding() * factor, b.lie())))
                .veiled(veil.map(v -> v.scaled(factor)));
    }

    /**
     * Words set in a panel's box.
     *
     * @param padding mm that stay free along each side
     * @param lie     where the block stands in a box that is higher
     */
    public record Boxed(@Typed.Length double padding, Lie lie) {
        public Boxed {
            BadInput.unless(padding >= 0 && padding <= Seat.LARGEST, "padding", "A padding is 0 or more.");
        }
    }

    /** Where words stand in a higher box. */
    public enum Lie implements Choice {
        TOP, MIDDLE, BOTTOM;

        /** The share of the free room that is above the words. */
        public double above() {
            return ordinal() / 2.0;
        }
    }
}
