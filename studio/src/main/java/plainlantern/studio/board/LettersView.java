package plainlantern.studio.board;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.editing.forms.SetLetters.Measure;
import plainlantern.lettering.FaceName;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Letters;
import plainlantern.outline.Spelling;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;

/**
 * Letters that are a form, as the bench shows them.
 *
 * @param measure how large they are; empty for new ones
 */
public record LettersView(String text, Choice face, String side, String leading, String tracking, Optional<Size> measure) {
    /**
     * @param family what is chosen; of an own typeface its name
     * @param own    the id of an own typeface, empty for one that comes along
     */
    public record Choice(String family, int weight, String own, List<Weighted> families) {
        /** The weights of the chosen typeface. */
        public List<Weight> weights() {
            return families.stream().filter(f -> own.isEmpty() && f.family.equals(family)).findFirst().map(Weighted::weights)
                    .orElse(List.of());
        }
    }

    /** A typeface that comes along, with its weights; the usual one for new letters is the heaviest. */
    public record Weighted(String family, List<Weight> weights) {
        /** "300 Light, 700 Bold", for the page's own use. */
        public String told() {
            return String.join(",", weights.stream().map(w -> w.number + " " + w.name).toList());
        }
    }

    public record Weight(int number, String name) {}

    /** @param stretch empty where they are as the typeface has them */
    public record Size(String size, String stretch, boolean parts) {}

    /** What CSS Fonts 4 calls the weights from 100 to 900. */
    private static final List<String> NAMES = List.of("Thin", "Extra light", "Light", "Regular", "Medium", "Semi bold", "Bold",
            "Extra bold", "Black");
    static final List<Weighted> FAMILIES = Stream.of(Typeface.values()).map(t -> new Weighted(t.label(), weights(t))).toList();

    static List<Weight> weights(Typeface typeface) {
        return typeface.weights().stream().map(w -> new Weight(w, NAMES.get(w / 100 - 1))).toList();
    }

    /** Of the first of the panels that is letters; what new ones begin with where none is. */
    static LettersView of(Numbers numbers, List<Element> panels) {
        Optional<Holder> lettered = panels.stream().flatMap(p -> p.holder().stream()).filter(h -> h.outline().letters().isPresent())
                .findFirst();
        if (lettered.isEmpty()) {
            Choice first = new Choice(Typeface.HANKEN_GROTESK.label(), 900, "", FAMILIES);
            return new LettersView("", first, "left", "100 %", "0", Optional.empty());
        }
        Letters letters = lettered.get().outline().letters().orElseThrow();
        Spelling spelling = letters.spelling();
        FaceName face = spelling.face();
        Measure measure = Measure.of(letters, lettered.get().seat());
        boolean plain = Math.abs(measure.stretch() - 1) < 0.0005;
        Size size = new Size(numbers.letters(measure.size()), plain ? "" : numbers.percent(measure.stretch()),
                spelling.text().strip().codePointCount(0, spelling.text().strip().length()) > 1);
        return new LettersView(spelling.text(), new Choice(face.family(), face.weight(), face.own(), FAMILIES), spelling.side().label(),
                numbers.percent(spelling.leading()), String.format(Locale.ROOT, "%.0f", spelling.tracking()), Optional.of(size));
    }
}
