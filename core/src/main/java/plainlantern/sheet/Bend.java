package plainlantern.sheet;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import plainlantern.asking.Asked;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Questions;
import plainlantern.asking.Typed;
import plainlantern.geometry.Bicubic;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;

/** How what is seen is bent: for each place, from where else its colour is taken. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface Bend permits Bend.Wave, Bend.Round, Bend.Twirl, Bend.Bulge, Bend.Mesh {
    /** A first one of each kind. */
    List<Bend> KINDS = List.of(new Wave(2, 20, 0, 0, Wave.Shape.SINE), new Twirl(90, 0.5, 0.5, 1), new Bulge(0.5, 0.5, 0.5, 1),
            new Mesh(4, 4, List.of()));

    /** What is done with each kind, in one place. */
    interface Kinds<T> {
        T wave(Wave bend);

        T twirl(Twirl bend);

        T bulge(Bulge bend);

        T mesh(Mesh bend);
    }

    <T> T as(Kinds<T> kinds);

    /** What people call it. */
    String label();

    /** The same on a sheet that is so many times as large. */
    default Bend scaled(double factor) {
        return this;
    }

    /** Where it is grabbed, in the frame of the form's box. */
    default List<Point> handles(Box box) {
        return List.of();
    }

    /** What is drawn along with its handles. */
    default Path lines(Box box) {
        return Path.EMPTY;
    }

    /** The same with some of its {@link #handles} moved so far, or as far as they go. */
    default Bend moved(Collection<Integer> which, Point by, Box box) {
        return this;
    }

    /** The same with some of its handles, or with all, where they were at first. */
    default Bend home(Collection<Integer> which) {
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

    /** One about a place, held by that and by how far it reaches. */
    sealed interface Round extends Bend permits Twirl, Bulge {
        double x();

        double y();

        double radius();

        /** The same about another place, reaching so far. */
        Bend about(double newX, double newY, double newRadius);

        @Override
        default List<Point> handles(Box box) {
            return new Disc(x(), y(), radius()).handles(box);
        }

        @Override
        default Path lines(Box box) {
            return new Disc(x(), y(), radius()).edge(box);
        }

        @Override
        default Bend moved(Collection<Integer> which, Point by, Box box) {
            Disc disc = new Disc(x(), y(), radius()).moved(which, by, box);
            return about(disc.x(), disc.y(), disc.radius());
        }

        @Override
        default Bend home(Collection<Integer> which) {
            Disc disc = new Disc(x(), y(), radius()).home(which);
            return about(disc.x(), disc.y(), disc.radius());
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
            @Asked(value = "Radius", first = "1", least = 0.01, most = 4) @Typed.Share double radius) implements Bend, Round {
        public Twirl {
            Questions.check(Twirl.class, turn, x, y, radius);
        }

        @Override
        public Twirl about(double newX, double newY, double newRadius) {
            return new Twirl(turn, newX, newY, newRadius);
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
            @Asked(value = "Radius", first = "1", least = 0.01, most = 4) @Typed.Share double radius) implements Bend, Round {
        public Bulge {
            Questions.check(Bulge.class, strength, x, y, radius);
        }

        @Override
        public Bulge about(double newX, double newY, double newRadius) {
            return new Bulge(strength, newX, newY, newRadius);
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

    /**
     * Handles of an even grid that are moved, and all between them smoothly, see {@link Bicubic}.
     *
     * @param moved across and down of each handle, row by row from the upper left, shares of the width and the height of the form's box;
     *              empty where none is moved
     */
    @JsonTypeName("mesh")
    record Mesh(@Asked(value = "Columns", first = "4", least = 2, most = 8) @Typed.Whole int columns,
            @Asked(value = "Rows", first = "4", least = 2, most = 8) @Typed.Whole int rows, List<Double> moved) implements Bend {
        /** Shares are kept to a millionth. */
        private static final double PLACES = 1e6;
        private static final double FARTHEST = 2;
        /** A move that would fold is halved so often on the way to where it just does not. */
        private static final int HALVES = 12;

        public Mesh {
            Questions.check(Mesh.class, columns, rows, moved);
            moved = moved == null ? List.of() : moved.stream().map(share -> {
                BadInput.unless(share != null && Math.abs(share) <= FARTHEST, "moved", "A handle can be moved by twice the form at most.");
                return Math.rint(share * PLACES) / PLACES + 0.0;
            }).toList();
            if (moved.stream().allMatch(share -> share == 0)) moved = List.of();
            BadInput.unless(moved.isEmpty() || moved.size() == 2 * columns * rows, "moved", "A mesh tells two shares for each handle.");
            BadInput.unless(moved.isEmpty() || !Bicubic.of(columns, rows, moved).folds(), "moved", "A mesh cannot be folded over itself.");
        }

        public Bicubic surface() {
            return Bicubic.of(columns, rows, all());
        }

        private List<Double> all() {
            return moved.isEmpty() ? Collections.nCopies(2 * columns * rows, 0.0) : moved;
        }

        /** The same surface, as near as it can be, with as many handles as another has. */
        public Mesh gridded(Mesh like) {
            return like.columns == columns && like.rows == rows || moved.isEmpty() ? new Mesh(like.columns, like.rows, moved)
                    : unfolded(like.columns, like.rows, surface().resampled(like.columns, like.rows), like.all());
        }

        @Override
        public List<Point> handles(Box box) {
            return surface().handles().stream().map(box::at).toList();
        }

        @Override
        public Path lines(Box box) {
            return surface().lines().mapped(box.fromUnit());
        }

        @Override
        public Mesh moved(Collection<Integer> which, Point by, Box box) {
            List<Double> to = new ArrayList<>(all());
            for (int handle : which) {
                check(handle);
                to.set(2 * handle, to.get(2 * handle) + by.x() / box.width());
                to.set(2 * handle + 1, to.get(2 * handle + 1) + by.y() / box.height());
            }
            return unfolded(columns, rows, to, all());
        }

        @Override
        public Mesh home(Collection<Integer> which) {
            if (which.isEmpty()) return new Mesh(columns, rows, List.of());
            List<Double> to = new ArrayList<>(all());
            for (int handle : which) {
                check(handle);
                to.set(2 * handle, 0.0);
                to.set(2 * handle + 1, 0.0);
            }
            return unfolded(columns, rows, to, all());
        }

        private void check(int handle) {
            BadInput.unless(handle >= 0 && handle < columns * rows, "handles", "That handle is no longer there.");
        }

        /** Moved as wanted, or as far on the way there from what does not fold as it goes. */
        private static Mesh unfolded(int columns, int rows, List<Double> wanted, List<Double> from) {
            double share = 1;
            double goes = 0;
            for (int i = 0; i < HALVES && goes < 1; i++) {
                boolean folds = Bicubic.of(columns, rows, between(from, wanted, share)).folds();
                double off = Math.pow(0.5, i + 1);
                if (!folds) goes = share;
                share += folds ? -off : off;
            }
            return new Mesh(columns, rows, between(from, wanted, goes));
        }

        private static List<Double> between(List<Double> from, List<Double> to, double share) {
            List<Double> between = new ArrayList<>();
            for (int i = 0; i < to.size(); i++) {
                double there = from.get(i) + (to.get(i) - from.get(i)) * share;
                between.add(Math.max(-FARTHEST, Math.min(FARTHEST, Math.rint(there * PLACES) / PLACES)));
            }
            return between;
        }

        @Override
        public <T> T as(Kinds<T> kinds) {
            return kinds.mesh(this);
        }

        @Override
        public String label() {
            return "Mesh";
        }
    }
}
