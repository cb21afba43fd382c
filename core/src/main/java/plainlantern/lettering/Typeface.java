package plainlantern.lettering;

import com.fasterxml.jackson.annotation.JsonValue;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** A typeface that comes with the application, each under the SIL Open Font License, whose text stands beside its files. */
public enum Typeface {
    HANKEN_GROTESK("Hanken Grotesk", 500, 300, 700, 900), BRICOLAGE_GROTESQUE("Bricolage Grotesque", 700, 400, 800),
    EB_GARAMOND("EB Garamond", 400, 700), PLAYFAIR_DISPLAY("Playfair Display", 700, 400, 900), ZILLA_SLAB("Zilla Slab", 500, 300, 700),
    OSWALD("Oswald", 500, 300, 700), SPACE_MONO("Space Mono", 400, 700), CAVEAT("Caveat", 600),
    /** Has Hebrew and Arabic, too. */
    RUBIK("Rubik", 400, 700, 900);

    private final String label;
    private final int usual;
    private final List<Integer> weights;
    private final Map<Integer, Face> faces = new ConcurrentHashMap<>();

    Typeface(String label, int usual, int... others) {
        this.label = label;
        this.usual = usual;
        weights = IntStream.concat(IntStream.of(usual), IntStream.of(others)).sorted().boxed().toList();
    }

    @JsonValue
    public String label() {
        return label;
    }

    /** The weights that it has, from light to heavy, by their numbers in CSS Fonts 4 (400 is regular, 700 bold). */
    public List<Integer> weights() {
        return weights;
    }

    /** The one of its weights that is nearest; its usual one for 0. */
    public int nearest(int weight) {
        if (weight == 0) return usual;
        return weights.stream().min(Comparator.comparingInt(w -> Math.abs(w - weight))).orElseThrow();
    }

    /**
     * The face of one of its {@link #weights}: read once and kept, for a font is small, and reading one takes longer than setting a page.
     */
    public Face face(int weight) {
        return faces.computeIfAbsent(nearest(weight), this::read);
    }

    private Face read(int weight) {
        try (InputStream in = Typeface.class.getResourceAsStream(file(weight))) {
            return Face.read(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The file among the resources of this package. */
    public String file(int weight) {
        return name().toLowerCase(Locale.ROOT).replace('_', '-') + "-" + nearest(weight) + ".ttf";
    }
}
