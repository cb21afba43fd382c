package plainlantern.treating;

/**
 * A table for each of red, green and blue by itself, straight between its steps.
 *
 * @param values red, green and blue of each step
 * @param low    the red, green and blue that stand at the first step
 * @param high   those at the last
 */
public record Curves(float[] values, double[] low, double[] high) implements ColourMap {
    @Override
    public float[] at(float red, float green, float blue) {
        return new float[] {at(red, 0), at(green, 1), at(blue, 2)};
    }

    private float at(float value, int channel) {
        int last = values.length / 3 - 1;
        float on = (float) Math.max(0, Math.min(last, (value - low[channel]) / (high[channel] - low[channel]) * last));
        int i = Math.min((int) on, last - 1);
        float here = values[i * 3 + channel];
        return here + (values[i * 3 + 3 + channel] - here) * (on - i);
    }
}
