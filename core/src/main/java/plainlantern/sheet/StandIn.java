package plainlantern.sheet;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Pictures that stand where others are to come: quiet grey views of the bay that ship with the application. */
public enum StandIn {
    BAY("a50c1fa20ab30996dbfe47729567feef86c78eed8136e1499ed2d8d15c7349b4", 1800, 1200),
    MILL("9540c4a09ec9c13258fb82eed93510681e8b7494b2f3ecaa14bd2018827465b4", 1800, 1200),
    BOAT("fc27d895cfea95d13f0f45edd491376af410b45cff8ae82b9f7926ad998395c6", 1800, 1200),
    REEDS("7ac8d25a232b2d300b2df1813011119d3ac766bf36628a4d5d5b46708d261216", 1200, 1800),
    WHEEL("4b4a0127b7b5c871578601ab1b977b2d02a219264ce8bd89e3b7b75f6f0ab1ac", 1286, 1800),
    TIDE("557f83b8059462b6fa49c21fcd1250e54895a17753411a12be3c4081fc1bf7d6", 1800, 1800),
    EVENING("91fabcf900aacab5b71f77b48206723a6e02311ba4c608213a1b77e567fe170d", 1800, 593);

    /** Proportions that differ by no more than from 3:2 to a square are taken for alike. */
    private static final double ALIKE = Math.log(1.5) + 0.01;
    private static final Map<String, StandIn> BY_ID = Arrays.stream(values()).collect(Collectors.toMap(s -> s.sha, Function.identity()));

    private final String sha;
    private final int width;
    private final int height;

    StandIn(String sha, int width, int height) {
        this.sha = sha;
        this.width = width;
        this.height = height;
    }

    /** Whether the picture with that id is one of these. */
    public static boolean is(String picture) {
        return BY_ID.containsKey(picture);
    }

    /** The one with that id. */
    public static Optional<StandIn> find(String picture) {
        return Optional.ofNullable(BY_ID.get(picture));
    }

    /** It as a picture of a shelf. */
    public Picture picture() {
        return new Picture(sha, "Stand-in " + (ordinal() + 1), width, height);
    }

    public String file() {
        return "Stand-in " + (ordinal() + 1) + ".jpg";
    }

    /** Its file. */
    public byte[] bytes() {
        try (InputStream in = StandIn.class.getResourceAsStream("stand-in-" + (ordinal() + 1) + ".jpg")) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The one for a place of that width by that height; of those that fit alike another one each turn, so that neighbours differ.
     *
     * @param turn which place it is, from 0
     */
    public static StandIn nearest(double ratio, int turn) {
        List<StandIn> near = Arrays.stream(values()).sorted(Comparator.comparingDouble(s -> s.off(ratio))).toList();
        List<StandIn> alike = near.stream().filter(s -> s.off(ratio) < near.get(0).off(ratio) + ALIKE).toList();
        return alike.get(turn % alike.size());
    }

    private double off(double ratio) {
        return Math.abs(Math.log(ratio * height / width));
    }
}
