package plainlantern;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.random.RandomGenerator;

/**
 * Values by chance for {@link Tried} tests. Every value comes from whole numbers that are written down, so that a run can be repeated and
 * made smaller; the smaller the numbers, the plainer the value.
 */
public final class Chance {
    private static final int FINE = 1 << 30;

    private final RandomGenerator random;
    private final int[] given;
    private final List<Integer> taken = new ArrayList<>();
    private final List<Object> values = new ArrayList<>();

    private Chance(RandomGenerator random, int[] given) {
        this.random = random;
        this.given = given;
    }

    static Chance of(long seed) {
        return new Chance(new SplittableRandom(seed), null);
    }

    /** The run that made those choices; where there are no more of them, each is the plainest. */
    static Chance replaying(int[] taken) {
        return new Chance(null, taken);
    }

    Chance again() {
        return replaying(taken());
    }

    int[] taken() {
        return taken.stream().mapToInt(Integer::intValue).toArray();
    }

    boolean smallerThan(Chance other) {
        return taken.size() != other.taken.size() ? taken.size() < other.taken.size() : Arrays.compare(taken(), other.taken()) < 0;
    }

    /** One of 0 to {@code bound} − 1. */
    private int draw(int bound) {
        int next = given == null ? random.nextInt(bound) : taken.size() < given.length ? Math.min(given[taken.size()], bound - 1) : 0;
        taken.add(next);
        return next;
    }

    private <T> T told(T value) {
        values.add(value);
        return value;
    }

    /** A number from {@code low} to {@code high}; more often than others one of the two, and a whole one. */
    public double between(double low, double high) {
        int sort = draw(16);
        if (sort == 0) return told(low);
        if (sort == 1) return told(high);
        double value = low + (high - low) * (draw(FINE) / (double) FINE);
        return told(sort == 2 && Math.rint(value) >= low && Math.rint(value) <= high ? Math.rint(value) : value);
    }

    /** A whole number from {@code low} to {@code high}; more often than others one of the two. */
    public int whole(int low, int high) {
        int sort = draw(16);
        return told(sort == 0 ? low : sort == 1 ? high : low + draw(high - low + 1));
    }

    public boolean flag() {
        return told(draw(2) == 1);
    }

    @SafeVarargs
    public final <T> T of(T... choices) {
        return told(choices[draw(choices.length)]);
    }

    public <T> T of(List<? extends T> choices) {
        return told(choices.get(draw(choices.size())));
    }

    /** What one of several ways makes, each as often as the others. */
    @SafeVarargs
    public final <T> T by(Supplier<? extends T>... ways) {
        return ways[draw(ways.length)].get();
    }

    public <T> List<T> list(int least, int most, Function<Chance, T> one) {
        List<T> list = new ArrayList<>();
        int count = least + draw(most - least + 1);
        while (list.size() < count) list.add(one.apply(this));
        return List.copyOf(list);
    }

    /** Letters, marks and signs of many scripts, unpaired surrogates and control characters left out; not blank. */
    public String text(int most) {
        StringBuilder out = new StringBuilder();
        int count = 1 + draw(most);
        for (int i = 0; i < count; i++) {
            int sort = draw(4);
            int point = sort < 2 ? 'a' + draw(26) : sort == 2 ? ' ' + draw(95) : 0xA1 + draw(0x1FFFF);
            out.appendCodePoint(Character.isDefined(point) && !(point >= 0xD800 && point <= 0xDFFF) && point < 0xFFFE || point > 0x10000
                    && Character.isDefined(point) ? point : 'x');
        }
        return told(out.toString().isBlank() ? "x" : out.toString());
    }

    @Override
    public String toString() {
        return values.toString();
    }
}
