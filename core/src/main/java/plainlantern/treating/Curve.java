package plainlantern.treating;

import plainlantern.sheet.Light;

/**
 * The curve of sRGB by tables, exact to a thousandth of a level of 255. It goes on beyond black and white, the same way on either side of
 * black, so that what is between two steps of a baked table is not bent where colours leave what sRGB can show.
 */
public final class Curve {
    private static final int STORED = 1024;
    private static final int LIGHT = 4096;
    /** Up to this light the curve is straight, and how steep. */
    private static final float STRAIGHT = 0.0031308f;
    private static final float SLOPE = 12.92f;
    private static final float[] TO_LIGHT = new float[STORED + 2];
    private static final float[] TO_STORED = new float[LIGHT + 2];

    static {
        for (int i = 0; i < TO_LIGHT.length; i++) TO_LIGHT[i] = (float) Light.behind(i / (double) STORED);
        for (int i = 0; i < TO_STORED.length; i++) TO_STORED[i] = (float) Light.storing(i / (double) LIGHT);
    }

    private Curve() {}

    /** The light behind a stored value; both are 0 for black and 1 for white. */
    public static float light(float stored) {
        if (stored < 0) return -light(-stored);
        if (stored > 1) return (float) Light.behind(stored);
        float at = stored * STORED;
        int i = (int) at;
        return TO_LIGHT[i] + (TO_LIGHT[i + 1] - TO_LIGHT[i]) * (at - i);
    }

    /** The way back. */
    public static float stored(float light) {
        if (light < 0) return -stored(-light);
        if (light > 1) return (float) Light.storing(light);
        float at = light * LIGHT;
        int i = (int) at;
        return TO_STORED[i] + (TO_STORED[i + 1] - TO_STORED[i]) * (at - i);
    }

    /**
     * The same of many lights at once, in place, by a polynomial of their fourth roots (fitted to the curve: off by less than a thousandth
     * of a level); what is beyond black and white is cut off.
     *
     * @param white what white becomes
     */
    static void stored(float[] lights, float white) {
        for (int i = 0; i < lights.length; i++) {
            float light = Math.max(STRAIGHT, Math.min(1, lights[i]));
            float root = (float) Math.sqrt((float) Math.sqrt(light));
            float curved = -0.05954666f + root * (0.13960476f + root * (1.365918f + root * (-0.85294981f + root * (0.65717809f
                    + root * (-0.31840905f + root * 0.06820609f)))));
            lights[i] = white * Math.max(0, curved + SLOPE * (Math.min(STRAIGHT, lights[i]) - STRAIGHT));
        }
    }
}
