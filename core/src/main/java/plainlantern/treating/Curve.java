package plainlantern.treating;

import plainlantern.sheet.Light;

/**
 * The curve of sRGB by tables, exact to a thousandth of a level of 255. It goes on beyond black and white, the same way on either side of
 * black, so that what is between two steps of a baked table is not bent where colours leave what sRGB can show.
 */
public final class Curve {
    private static final int STORED = 1024;
    private static final int LIGHT = 4096;
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

    /** The same of a light that is not below black; what is beyond white is cut off. */
    static float shown(float light) {
        float at = light >= 1 ? LIGHT : light * LIGHT;
        int i = (int) at;
        return TO_STORED[i] + (TO_STORED[i + 1] - TO_STORED[i]) * (at - i);
    }
}
