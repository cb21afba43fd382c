package plainlantern.treating;

import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * A table of colours over a cube of colours, with {@code size} steps along each side, looked up between its steps in the tetrahedron that
 * a colour is in (Kasson and others 1995).
 *
 * @param channels how many numbers stand at each step: three, or more for what is baked
 * @param values those numbers of each step, red changing fastest
 * @param low    the red, green and blue that stand at its first step
 * @param high   those at its last
 */
public record Lattice(int size, int channels, float[] values, double[] low, double[] high) implements ColourMap {
    private static final double[] BLACK = {0, 0, 0};
    private static final double[] WHITE = {1, 1, 1};

    public Lattice {
        if (values.length != size * size * size * channels) throw new IllegalArgumentException("not " + size + " cubed");
    }

    /** A function of stored colours, 0 to 1, which it changes in place, as a table; what it gives may be beyond that. */
    static Lattice baked(int size, Consumer<float[]> function) {
        return baked(size, 3, function);
    }

    /** @param channels so many numbers the function has room for, and sets */
    static Lattice baked(int size, int channels, Consumer<float[]> function) {
        float[] values = new float[size * size * size * channels];
        IntStream.range(0, size).parallel().forEach(b -> {
            float[] c = new float[channels];
            for (int g = 0, at = b * size * size * channels; g < size; g++) {
                for (int r = 0; r < size; r++, at += channels) {
                    c[0] = r / (size - 1f);
                    c[1] = g / (size - 1f);
                    c[2] = b / (size - 1f);
                    function.accept(c);
                    System.arraycopy(c, 0, values, at, channels);
                }
            }
        });
        return new Lattice(size, channels, values, BLACK, WHITE);
    }

    @Override
    public float[] at(float red, float green, float blue) {
        float[] out = new float[3];
        look(step(red, 0), step(green, 1), step(blue, 2), out);
        return out;
    }

    private float step(float value, int channel) {
        double on = (value - low[channel]) / (high[channel] - low[channel]) * (size - 1);
        return (float) Math.max(0, Math.min(size - 1, on));
    }

    /** @param r red in steps from the first one, likewise green and blue */
    void look(float r, float g, float b, float[] out) {
        int r0 = Math.min((int) r, size - 2);
        int g0 = Math.min((int) g, size - 2);
        int b0 = Math.min((int) b, size - 2);
        look((b0 * size + g0) * size + r0, r - r0, g - g0, b - b0, out);
    }

    /**
     * @param step the number of the step at or before a colour, all of them counted on
     * @param fr   how far on red is to the next one, likewise green and blue
     */
    void look(int step, float fr, float fg, float fb, float[] out) {
        int at = step * channels;
        int red = channels;
        int green = size * channels;
        int blue = size * size * channels;
        // Which share is the largest and which the least, without branches: pictures' colours would have half of them guessed wrongly.
        // Whole numbers order floats that are not negative; each of these is all ones where it is so.
        int r = Float.floatToRawIntBits(fr);
        int g = Float.floatToRawIntBits(fg);
        int b = Float.floatToRawIntBits(fb);
        int redBelowGreen = r - g >> 31;
        int greenBelowBlue = g - b >> 31;
        int redBelowBlue = r - b >> 31;
        int first = red & ~redBelowGreen & ~redBelowBlue | green & redBelowGreen & ~greenBelowBlue | blue & redBelowBlue & greenBelowBlue;
        int second = red + green + blue
                - (red & redBelowGreen & redBelowBlue | green & ~redBelowGreen & greenBelowBlue | blue & ~redBelowBlue & ~greenBelowBlue);
        int greatest = Math.max(r, Math.max(g, b));
        int smallest = Math.min(r, Math.min(g, b));
        float most = Float.intBitsToFloat(greatest);
        float middle = Float.intBitsToFloat(r + g + b - greatest - smallest);
        float least = Float.intBitsToFloat(smallest);
        int last = at + red + green + blue;
        float whole = 1 - most;
        float next = most - middle;
        float third = middle - least;
        out[0] = whole * values[at] + next * values[at + first] + third * values[at + second] + least * values[last];
        out[1] = whole * values[at + 1] + next * values[at + first + 1] + third * values[at + second + 1] + least * values[last + 1];
        out[2] = whole * values[at + 2] + next * values[at + first + 2] + third * values[at + second + 2] + least * values[last + 2];
        if (channels == 4)
            out[3] = whole * values[at + 3] + next * values[at + first + 3] + third * values[at + second + 3] + least * values[last + 3];
    }
}
