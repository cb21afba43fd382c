package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.Choice;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;

/** How what is seen is bent: for each place, from where else its colour is taken. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Bend permits Bend.Wave, Bend.Twirl, Bend.Bulge {
    /** A first one of each kind. */
    List<Bend> KINDS = List.of(new Wave(2, 20, 0, 0, Wave.Shape.SINE), new Twirl(90, 0.5, 0.5, 1), new Bulge(0.5, 0.5, 0.5, 1));

    /** What is done with each kind, in one place. */
    interface Kinds<T> {
        T wave(Wave bend);

        T twirl(Twirl bend);

        T bulge(Bulge bend);
    }

    <T> T as(Kinds<T> kinds);

    /** What people call it. */
    String label();

    /** The same on a sheet that is so many times as large. */
    default Bend scaled(double factor) {
        return this;
    }

    /**
     * Rows that swing to and fro.
     *
     * @param amplitude so far to either side, mm on the sheet
     * @param length    of one wave, mm on the sheet
     * @param turn      the way it runs: 0 is to the right, what it moves goes up and down
     * @param phase     where it begins, degrees of a wave
     */
    @JsonTypeName("wave")
    record Wave(@Asked(value = "Height", first = "0.05", most = 500) @Typed.Length double amplitude,
            @Asked(value = "Length", first = "0.2", least = 0.1, most = 5000) @Typed.Length double length,
            @Asked(value = "Direction", least = -360, most = 360) @Typed.Turn double turn,
            @Asked(value = "Phase", least = -360, most = 360) @Typed.Turn double phase, Shape shape) implements Bend {
        /** The course of one wave. */
        public enum Shape implements Choice { SINE, SQUARE, TRIANGLE }

        public Wave {
            Questions.check(Wave.class, amplitude, length, turn, phase);
        }

        @Override
        public Wave scaled(double factor) {
            return new Wave(Math.min(500, amplitude * factor), Math.max(0.1, Math.min(5000, length * factor)), turn, phase, shape);
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.wave(this);
        }

        @Override
        public String label() {
            return "Wave";
        }
    }

    /**
     * Turned about a place, most in its middle.
     *
     * @param turn   in the middle, degrees
     * @param x      of the middle, a share of the form's box from its left
     * @param y      from its top
     * @param radius as far as it reaches, a share of half the box's shorter side
     */
    @JsonTypeName("twirl")
    record Twirl(@Asked(value = "Turn", first = "90", least = -3600, most = 3600) @Typed.Turn double turn,
            @Asked(value = "Across", first = "0.5", least = -1, most = 2) @Typed.Share double x,
            @Asked(value = "Down", first = "0.5", least = -1, most = 2) @Typed.Share double y,
            @Asked(value = "Radius", first = "1", least = 0.01, most = 4) @Typed.Share double radius) implements Bend {
        public Twirl {
            Questions.check(Twirl.class, turn, x, y, radius);
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.twirl(this);
        }

        @Override
        public String label() {
            return "Twirl";
        }
    }

    /**
     * Larger about a place, or smaller.
     *
     * @param strength above 0 larger, below smaller
     * @param x        as of {@link Twirl}
     */
    @JsonTypeName("bulge")
    record Bulge(@Asked(value = "Strength", first = "0.5", least = -1, most = 1) @Typed.Share double strength,
            @Asked(value = "Across", first = "0.5", least = -1, most = 2) @Typed.Share double x,
            @Asked(value = "Down", first = "0.5", least = -1, most = 2) @Typed.Share double y,
            @Asked(value = "Radius", first = "1", least = 0.01, most = 4) @Typed.Share double radius) implements Bend {
        public Bulge {
            Questions.check(Bulge.class, strength, x, y, radius);
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.bulge(this);
        }

        @Override
        public String label() {
            return "Bulge";
        }
    }
}
