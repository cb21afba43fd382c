package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonCreator;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;

/**
 * A line around a panel's form. Its width is a length: it never stretches with the form.
 *
 * @param width mm
 * @param ends  how a rule ends, and each dash
 */
public record Rim(@Typed.Length double width, Colour colour, Side side, Dash dash, Join join, Ends ends) {
    /** A rule that nobody gave a width yet: one point. */
    public static final Rim RULE = new Rim(25.4 / 72, Colour.of("#23262A"), Side.CENTRED, Dash.SOLID, Join.MITER, Ends.BUTT);
    /** A rim that is asked for without a width: half a millimetre (common practice for a fine frame), white. */
    public static final Rim FIRST = new Rim(0.5, Colour.WHITE, Side.INSIDE, Dash.SOLID, Join.MITER);
    /** Wider than this no rim is, mm. */
    public static final double WIDEST = 500;

    public Rim(double width, Colour colour, Side side, Dash dash, Join join) {
        this(width, colour, side, dash, join, Ends.BUTT);
    }

    @JsonCreator
    public Rim {
        ends = ends == null ? Ends.BUTT : ends;
        BadInput.unless(width > 0 && width <= WIDEST, "width", "A rim is between 0 and 500 mm wide. Without a width there is none.");
    }

    public Rim wide(double newWidth) {
        return new Rim(newWidth, colour, side, dash, join, ends);
    }

    /** The same in a sheet that is so many times as large. */
    public Rim scaled(double factor) {
        return wide(Math.min(WIDEST, width * factor));
    }

    public Rim coloured(Colour newColour) {
        return new Rim(width, newColour, side, dash, join, ends);
    }

    /** Where the line lies against the form's edge. */
    public enum Side implements Choice {
        INSIDE, CENTRED, OUTSIDE;

        /** How far the line reaches beyond the form, as a share of its width. */
        public double beyond() {
            return ordinal() / 2.0;
        }
    }

    /** How the line is broken; lengths are multiples of its width. */
    public enum Dash implements Choice {
        SOLID, DASHED(3, 2), DOTTED(0, 2);

        private final double[] lengths;

        Dash(double... lengths) {
            this.lengths = lengths;
        }

        /** On and off in turn, mm, for a line of that width; empty for a solid one. A dot is a stretch of no length with round ends. */
        public double[] lengths(double width) {
            double[] out = lengths.clone();
            for (int i = 0; i < out.length; i++) out[i] *= width;
            return out;
        }
    }

    /** How a line ends, by SVG's names. */
    public enum Ends implements Choice { BUTT, ROUND, SQUARE }

    /** How the line turns a corner, by SVG's names. */
    public enum Join implements Choice { MITER, ROUND, BEVEL }
}
