package plainlantern.studio.demo;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import plainlantern.picture.Sha256;

/** The demo's table of colours: a faded print, its shadows lifted towards the sea's green, its lights towards cream. */
final class OldPostcard {
    static final String FILE = "Old postcard.cube";
    private static final int SIZE = 17;
    /** Red, green and blue of what black and white become. */
    private static final double[] DARK = {0.10, 0.16, 0.17};
    private static final double[] LIGHT = {0.98, 0.95, 0.86};
    private static final double FADED = 0.25;

    static final byte[] BYTES = written().getBytes(StandardCharsets.US_ASCII);
    /** What the application knows it by. */
    static final String ID = Sha256.of(BYTES);

    private OldPostcard() {}

    private static String written() {
        StringBuilder cube = new StringBuilder("TITLE \"Old postcard\"\nLUT_3D_SIZE ").append(SIZE).append('\n');
        for (int b = 0; b < SIZE; b++) for (int g = 0; g < SIZE; g++) for (int r = 0; r < SIZE; r++) {
            double[] c = {r / (SIZE - 1.0), g / (SIZE - 1.0), b / (SIZE - 1.0)};
            double grey = 0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2];
            for (int i = 0; i < 3; i++) {
                double value = c[i] + (grey - c[i]) * FADED;
                cube.append(String.format(Locale.ROOT, i < 2 ? "%.5f " : "%.5f\n", DARK[i] + (LIGHT[i] - DARK[i]) * value));
            }
        }
        return cube.toString();
    }
}
