package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.Collection;
import java.util.List;
import java.util.function.UnaryOperator;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Point;
import plainlantern.geometry.Projective;

/**
 * What a veil hides, or shows again where parts before it hide: each part does so with its strength wherever it lies. Lengths are those of
 * the frame that the veil rests in, see {@link Veil.Rests}.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface VeilPart permits VeilPart.Stroke, VeilPart.Gradient, VeilPart.Colours, VeilPart.Form {
    /** What is done with each kind, in one place. */
    interface Kinds<T> {
        T stroke(Stroke part);

        T gradient(Gradient part);

        T colours(Colours part);

        T form(Form part);
    }

    <T> T as(Kinds<T> kinds);

    /** How much of what it covers it hides or shows, 0 to 1. */
    double strength();

    /** Whether it shows again instead of hiding. */
    boolean shows();

    /** What people call it. */
    String label();

    /** The same in another frame; what is told as a length grows there as all about it does. */
    VeilPart mapped(Projective map);

    /** Places by which it is grabbed; none where it lies nowhere itself. */
    default List<Point> handles() {
        return List.of();
    }

    /** The same with what some of its {@link #handles} hold brought elsewhere. */
    default VeilPart moved(Collection<Integer> which, UnaryOperator<Point> where) {
        return this;
    }

    /** The same on a sheet that is so many times as large, where the veil's frame is told in lengths of that. */
    VeilPart scaled(double factor, boolean framed);

    /**
     * A brush drawn through some places. It covers all that is nearer than half its size, at each place once, however often it passes.
     *
     * @param softness how much of its radius fades out, 0 to 1
     */
    @JsonTypeName("stroke")
    record Stroke(List<Dot> dots, @Asked(value = "Size", least = 0.01, most = 5000) @Typed.Length double size,
            @Asked(value = "Softness", most = 1) @Typed.Share double softness,
            @Asked(value = "Strength", most = 1) @Typed.Share double strength, @Typed.Switch boolean shows) implements VeilPart {
        /** What a stroke has at most once what is nearly straight was left out. */
        public static final int MOST = 2000;

        public Stroke {
            BadInput.unless(dots != null && !dots.isEmpty(), "dots", "A stroke needs a place to begin.");
            dots = List.copyOf(dots);
            Questions.check(Stroke.class, dots, size, softness, strength);
        }

        /** Where it begins. */
        @Override
        public List<Point> handles() {
            return List.of(dots.get(0).at());
        }

        @Override
        public Stroke moved(Collection<Integer> which, UnaryOperator<Point> where) {
            return through(dots.stream().map(dot -> {
                Point at = where.apply(dot.at());
                return new Dot(at.x(), at.y(), dot.press());
            }).toList());
        }

        public Stroke through(List<Dot> newDots) {
            return new Stroke(newDots, size, softness, strength, shows);
        }

        @Override
        public Stroke mapped(Projective map) {
            double scale = scale(map, dots.get(0).at());
            List<Dot> there = dots.stream().map(dot -> {
                Point at = map.apply(dot.at());
                return new Dot(at.x(), at.y(), Math.min(1, dot.press() * scale(map, dot.at()) / scale));
            }).toList();
            return new Stroke(there, Math.max(0.01, Math.min(5000, size * scale)), softness, strength, shows);
        }

        @Override
        public Stroke scaled(double factor, boolean framed) {
            return framed ? mapped(Projective.of(Affine.scale(factor, factor))) : this;
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.stroke(this);
        }

        @Override
        public String label() {
            return "Brush";
        }
    }

    /**
     * Covers all on one side and nothing on the other, evenly less on the way between them; or so outward from a place.
     *
     * @param from   here and before it, or in the middle, it covers all
     * @param to     from here on it covers nothing
     * @param turned the other way round
     */
    @JsonTypeName("gradient")
    record Gradient(@Typed.Switch boolean round, Point from, Point to, @Typed.Switch boolean turned,
            @Asked(value = "Strength", most = 1) @Typed.Share double strength, @Typed.Switch boolean shows) implements VeilPart {
        public Gradient {
            BadInput.unless(from != null && to != null && Double.isFinite(from.distance(to)) && from.distance(to) > 0, "part",
                    "Drag from where it hides most to where it hides nothing.");
            Questions.check(Gradient.class, round, from, to, turned, strength);
        }

        /** Both ends, and the middle, which takes both along. */
        @Override
        public List<Point> handles() {
            return List.of(from, to, from.plus(to).times(0.5));
        }

        @Override
        public Gradient moved(Collection<Integer> which, UnaryOperator<Point> where) {
            boolean both = which.contains(2);
            Point start = both || which.contains(0) ? where.apply(from) : from;
            Point end = both || which.contains(1) ? where.apply(to) : to;
            return new Gradient(round, start, end, turned, strength, shows);
        }

        @Override
        public Gradient mapped(Projective map) {
            return new Gradient(round, map.apply(from), map.apply(to), turned, strength, shows);
        }

        @Override
        public Gradient scaled(double factor, boolean framed) {
            return framed ? new Gradient(round, from.times(factor), to.times(factor), turned, strength, shows) : this;
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.gradient(this);
        }

        @Override
        public String label() {
            return round ? "Round gradient" : "Straight gradient";
        }
    }

    /**
     * Covers what has a colour, as the picture was before its tones. How far colours are from each other is told as of {@link Cleared}.
     *
     * @param tolerance colours so near are covered
     * @param softness  over so much more it fades out
     */
    @JsonTypeName("colours")
    record Colours(Colour colour, @Asked(value = "Tolerance", most = 1) @Typed.Share double tolerance,
            @Asked(value = "Softness", most = 1) @Typed.Share double softness,
            @Asked(value = "Strength", most = 1) @Typed.Share double strength, @Typed.Switch boolean shows) implements VeilPart {
        public Colours {
            BadInput.unless(colour != null, "colour", "Click the colour on the picture, or type one.");
            Questions.check(Colours.class, colour, tolerance, softness, strength);
        }

        public Colours coloured(Colour newColour) {
            return new Colours(newColour, tolerance, softness, strength, shows);
        }

        @Override
        public Colours mapped(Projective map) {
            return this;
        }

        @Override
        public Colours scaled(double factor, boolean framed) {
            return this;
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.colours(this);
        }

        @Override
        public String label() {
            return "Colours";
        }
    }

    /**
     * Covers the form of another panel, wherever that is.
     *
     * @param panel    its id; one that is gone covers nothing
     * @param softness over so much it fades out about the form's edge, mm on the sheet
     */
    @JsonTypeName("form")
    record Form(String panel, @Asked(value = "Softness", most = 500) @Typed.OrZero double softness,
            @Asked(value = "Strength", most = 1) @Typed.Share double strength, @Typed.Switch boolean shows) implements VeilPart {
        public Form {
            BadInput.unless(panel != null && !panel.isBlank(), "panel", "Choose the panel first.");
            Questions.check(Form.class, panel, softness, strength);
        }

        public Form of(String other) {
            return new Form(other, softness, strength, shows);
        }

        @Override
        public Form mapped(Projective map) {
            return this;
        }

        @Override
        public Form scaled(double factor, boolean framed) {
            return new Form(panel, Math.min(500, softness * factor), strength, shows);
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.form(this);
        }

        @Override
        public String label() {
            return "Form of a panel";
        }
    }

    private static double scale(Projective map, Point at) {
        return Math.sqrt(Math.abs(map.local(at).determinant()));
    }
}
