package plainlantern.treating;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.StringTokenizer;
import plainlantern.asking.BadInput;

/**
 * Colour tables in .cube files, as their published specification (Cube LUT 1.0, 2013) has them: keywords, then a line of three numbers for
 * each step.
 */
public final class CubeFile {
    public static final int MOST_BYTES = 16 << 20;
    private static final int MOST_3D = 65;
    private static final int MOST_1D = 65536;
    /** No table that is meant goes farther beyond black and white. */
    private static final float FARTHEST = 100;

    private String fileName;
    private int size1;
    private int size3;
    private final double[] low = {0, 0, 0};
    private final double[] high = {1, 1, 1};
    private float[] values;
    private int read;

    private CubeFile() {}

    /** Throws {@link BadInput} with what is wrong with the file. */
    public static ColourMap read(String fileName, byte[] bytes) {
        CubeFile file = new CubeFile();
        file.fileName = fileName;
        BadInput.unless(bytes.length <= MOST_BYTES, "table", fileName + " is larger than 16 MB.");
        int number = 0;
        for (String line : text(fileName, bytes).split("\r\n|\r|\n", -1)) {
            number++;
            String told = line.strip();
            if (!told.isEmpty() && !told.startsWith("#")) file.line(told, number);
        }
        return file.made();
    }

    private static String text(String fileName, byte[] bytes) {
        try {
            return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
        } catch (CharacterCodingException e) {
            throw new BadInput("table", fileName + " is not a colour table: it is not text.");
        }
    }

    private void line(String line, int number) {
        StringTokenizer words = new StringTokenizer(line);
        String first = words.nextToken();
        switch (first) {
            case "TITLE" -> { }
            case "LUT_1D_SIZE" -> size1 = size(words, MOST_1D, number);
            case "LUT_3D_SIZE" -> size3 = size(words, MOST_3D, number);
            case "DOMAIN_MIN" -> domain(words, low, number);
            case "DOMAIN_MAX" -> domain(words, high, number);
            default -> step(first, words, number);
        }
    }

    private int size(StringTokenizer words, int most, int number) {
        int size = 0;
        try {
            size = Integer.parseInt(words.hasMoreTokens() ? words.nextToken() : "");
        } catch (NumberFormatException e) {
            // Said below.
        }
        if (size < 2 || size > most) throw wrong(number, "its size has to be a whole number from 2 to " + most + ".");
        if (size1 != 0 || size3 != 0) throw wrong(number, "its size is told twice.");
        return size;
    }

    private void domain(StringTokenizer words, double[] to, int number) {
        for (int i = 0; i < 3; i++) to[i] = value(words, number);
    }

    private void step(String first, StringTokenizer words, int number) {
        if (size1 == 0 && size3 == 0) throw wrong(number, "a size is missing, or “" + shortened(first) + "” is not known.");
        if (values == null) values = new float[3 * (size1 > 0 ? size1 : size3 * size3 * size3)];
        if (read + 3 > values.length) throw wrong(number, "it has more colours than its size says.");
        values[read++] = value(first, number);
        values[read++] = value(words, number);
        values[read++] = value(words, number);
    }

    private float value(StringTokenizer words, int number) {
        if (!words.hasMoreTokens()) throw wrong(number, "three numbers are wanted.");
        return value(words.nextToken(), number);
    }

    private float value(String word, int number) {
        try {
            float value = Float.parseFloat(word);
            if (Float.isFinite(value) && Math.abs(value) <= FARTHEST) return value;
        } catch (NumberFormatException e) {
            // Said below.
        }
        throw wrong(number, "“" + shortened(word) + "” is no number that a colour can have.");
    }

    private ColourMap made() {
        if (values == null || read < values.length)
            throw new BadInput("table", fileName + " is cut off, or no colour table: it has " + read / 3 + " colours"
                    + (values == null ? "." : " of " + values.length / 3 + "."));
        for (int i = 0; i < 3; i++) BadInput.unless(low[i] < high[i], "table", fileName + ": its range begins where it ends.");
        return size1 > 0 ? new Curves(values, low, high) : new Lattice(size3, 3, values, low, high);
    }

    private BadInput wrong(int line, String why) {
        return new BadInput("table", fileName + ", line " + line + ": " + why);
    }

    private static String shortened(String word) {
        return word.length() > 24 ? new String(Arrays.copyOf(word.toCharArray(), 24)) + "…" : word;
    }
}
