package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonProperty;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Choice;
import plainlantern.geometry.Point;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;

/** One layer of what a panel shows. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Content {
    Look look();

    /** The same with another look. */
    Content looking(Look newLook);

    /** Whether it is a picture: one of the panel's own, or a slice of a vista. */
    default boolean pictured() {
        return this instanceof OwnPicture || this instanceof VistaSlice;
    }

    /**
     * A picture of the panel's own.
     *
     * @param picture the picture's id, see {@link Picture}
     * @param held    whether moves and zooms stop before an edge of the picture shows
     */
    @JsonTypeName("picture")
    record OwnPicture(String picture, Fit fit, Placement placement, boolean held, Look look) implements Content {
        public OwnPicture(String picture, Fit fit, Placement placement, boolean held) {
            this(picture, fit, placement, held, Look.PLAIN);
        }

        @JsonCreator
        public OwnPicture {
            look = look == null ? Look.PLAIN : look;
        }

        public OwnPicture settled(Fit newFit, Placement newPlacement) {
            return settled(newFit, newPlacement, held);
        }

        public OwnPicture settled(Fit newFit, Placement newPlacement, boolean newlyHeld) {
            return new OwnPicture(picture, newFit, newPlacement, newlyHeld, look);
        }

        @Override
        public OwnPicture looking(Look newLook) {
            return new OwnPicture(picture, fit, placement, held, newLook);
        }
    }

    /**
     * What a panel shows of a vista.
     *
     * @param vista the vista's id
     * @param home  where the panel was when it began to carry its slice along; absent while the panel looks through
     * @param nudge the slice's own small shift against the vista
     */
    @JsonTypeName("slice")
    record VistaSlice(String vista, Optional<Seat> home, Nudge nudge, Look look) implements Content {
        @JsonCreator
        public VistaSlice {
            Ids.checked(vista);
            look = look == null ? Look.PLAIN : look;
        }

        /** A slice in register, looking through. */
        public static VistaSlice of(String vista) {
            return new VistaSlice(vista, Optional.empty(), Nudge.NONE, Look.PLAIN);
        }

        public boolean carried() {
            return home.isPresent();
        }

        public VistaSlice nudged(Nudge newNudge) {
            return new VistaSlice(vista, home, newNudge, look);
        }

        public VistaSlice homed(Optional<Seat> newHome) {
            return new VistaSlice(vista, newHome, nudge, look);
        }

        @Override
        public VistaSlice looking(Look newLook) {
            return new VistaSlice(vista, home, nudge, newLook);
        }
    }

    /**
     * One colour, or several that run into each other.
     *
     * @param stops the colours in order; a single one fills the whole panel
     * @param turn  which way they run, as CSS Images 3 has it: 0 upward, 90 to the right; from corner to corner of the panel's box
     * @param round whether they run from the middle of the panel's box outward to its corners instead
     */
    @JsonTypeName("wash")
    record Wash(List<Stop> stops, double turn, boolean round, Look look) implements Content {
        @JsonCreator
        public Wash {
            look = look == null ? Look.PLAIN : look;
            stops = stops.stream().sorted(Comparator.comparingDouble(Stop::at)).toList();
            BadInput.unless(!stops.isEmpty() && stops.size() <= 12, "stops", "A wash has one to twelve colours.");
            BadInput.unless(Double.isFinite(turn), "turn", "This has to be a number of degrees.");
        }

        /** One colour all over. */
        public static Wash plain(Colour colour) {
            return new Wash(List.of(new Stop(0, colour, 1)), 180, false, Look.PLAIN);
        }

        /** Whether nothing behind it can be seen. */
        public boolean opaque() {
            return look.equals(Look.PLAIN) && stops.stream().allMatch(s -> s.opacity() == 1);
        }

        @Override
        public Wash looking(Look newLook) {
            return new Wash(stops, turn, round, newLook);
        }
    }

    /**
     * Words, lying free in the panel's frame, or set in its box.
     *
     * @param style  typeface, size and so on
     * @param centre the middle of their block in the panel's frame, mm; of no account in the box
     * @param turn   degrees, clockwise; likewise
     * @param boxed  how they are set in the panel's box, broken into lines that fit it; absent where they lie free
     */
    @JsonTypeName("words")
    record Words(String text, @JsonUnwrapped LetterStyle style, Colour colour, Point centre, double turn, Optional<Boxed> boxed, Look look) implements Content {
        public static final int MOST_LETTERS = 2000;

        @JsonCreator
        static Words read(@JsonProperty("text") String text, @JsonProperty("typeface") Typeface typeface, @JsonProperty("size") double size, @JsonProperty("side") Setting.Side side,
                          @JsonProperty("leading") Optional<Double> leading, @JsonProperty("tracking") Optional<Double> tracking, @JsonProperty("colour") Colour colour,
                          @JsonProperty("centre") Point centre, @JsonProperty("turn") double turn, @JsonProperty("boxed") Optional<Boxed> boxed, @JsonProperty("look") Look look) {
            return new Words(text, new LetterStyle(typeface, size, side, leading.orElse(LetterStyle.LEADING), tracking.orElse(0.0)), colour, centre, turn, boxed, look);
        }

        public Words {
            look = look == null ? Look.PLAIN : look;
            BadInput.unless(!text.isBlank(), "text", "Type the words first.");
            BadInput.unless(text.length() <= MOST_LETTERS, "text", "These are " + text.length() + " letters; a panel takes " + MOST_LETTERS + ".");
            BadInput.unless(Double.isFinite(turn) && Math.max(Math.abs(centre.x()), Math.abs(centre.y())) <= Seat.LARGEST, "across", "That is too far away from the panel.");
        }

        /** Words in the middle of a panel, lying free. */
        public static Words of(String text, LetterStyle style, Colour colour) {
            return new Words(text, style, colour, Point.ORIGIN, 0, Optional.empty(), Look.PLAIN);
        }

        public Words at(Point newCentre, double newTurn) {
            return new Words(text, style, colour, newCentre, newTurn, boxed, look);
        }

        public Words styled(LetterStyle newStyle) {
            return new Words(text, newStyle, colour, centre, turn, boxed, look);
        }

        public Words saying(String newText) {
            return new Words(newText, style, colour, centre, turn, boxed, look);
        }

        public Words coloured(Colour newColour) {
            return new Words(text, style, newColour, centre, turn, boxed, look);
        }

        public Words boxed(Optional<Boxed> newBoxed) {
            return new Words(text, style, colour, centre, turn, newBoxed, look);
        }

        @Override
        public Words looking(Look newLook) {
            return new Words(text, style, colour, centre, turn, boxed, newLook);
        }
    }

    /**
     * Words set in a panel's box.
     *
     * @param padding mm that stay free along each side
     * @param lie     where the block stands in a box that is higher
     */
    record Boxed(double padding, Lie lie) {
        public Boxed {
            BadInput.unless(padding >= 0 && padding <= Seat.LARGEST, "padding", "A padding is 0 or more.");
        }
    }

    /** Where words stand in a higher box. */
    enum Lie implements Choice {
        TOP, MIDDLE, BOTTOM;

        /** The share of the free room that is above the words. */
        public double above() {
            return ordinal() / 2.0;
        }
    }
}
