package plainlantern.studio.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.fitting.Lettering;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content;
import plainlantern.sheet.Content.Boxed;
import plainlantern.sheet.Content.Lie;
import plainlantern.sheet.Content.Wash;
import plainlantern.sheet.Content.Words;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Sheet;

/**
 * The layers of the first selected panel, from front to back, and the chosen one's numbers.
 *
 * @param front the front layer's place
 */
public record LayersView(List<Row> rows, int front, Optional<Chosen> chosen) {
    /**
     * @param picture its id, empty where the layer is none
     * @param on      whether it is the chosen one
     * @param off     whether it is switched off
     */
    public record Row(int at, String kind, String name, String picture, boolean on, boolean off) {}

    public record Chosen(int at, String opacity, String blend, List<Blend> blends, Optional<WordsFields> words,
            Optional<WashFields> wash) {}

    /** @param overflow by how much they are larger than their box, empty where they fit */
    public record WordsFields(String text, String typeface, List<String> typefaces, String size, String leading, String tracking, String colour, String side, boolean boxed, String padding,
                              String lie, String across, String down, String turn, String missing, String overflow) {}

    public record WashFields(List<StopFields> stops, String turn, boolean round) {}

    public record StopFields(String at, String colour, String opacity) {}

    static LayersView of(Sheet sheet, Panel panel, int layer) {
        int on = layer >= 0 && layer < panel.content().size() ? layer : panel.acting(layer) >= 0 ? panel.acting(layer) : panel.content().size() - 1;
        List<Row> rows = new ArrayList<>();
        for (int at = panel.content().size() - 1; at >= 0; at--) rows.add(row(sheet, panel.content().get(at), at, at == on));
        return new LayersView(rows, panel.content().size() - 1, on < 0 ? Optional.empty() : Optional.of(chosen(new Numbers(sheet), panel, on)));
    }

    private static Row row(Sheet sheet, Content content, int at, boolean on) {
        if (content instanceof Words words)
            return new Row(at, "words", words.text().lines().findFirst().orElse(""), "", on, words.look().off());
        if (content instanceof Wash wash)
            return new Row(at, "wash", wash.stops().size() == 1 ? "Colour" : "Colours", "", on, wash.look().off());
        String id = content instanceof Content.OwnPicture own ? own.picture() : sheet.vista(((Content.VistaSlice) content).vista()).picture();
        return new Row(at, content instanceof Content.OwnPicture ? "picture" : "slice", sheet.picture(id).name(), id, on,
                content.look().off());
    }

    private static Chosen chosen(Numbers n, Panel panel, int at) {
        Content content = panel.content().get(at);
        Optional<WordsFields> words = content instanceof Words w ? Optional.of(words(n, panel, w)) : Optional.empty();
        Optional<WashFields> wash = content instanceof Wash w ? Optional.of(wash(n, w)) : Optional.empty();
        return new Chosen(at, n.percent(content.look().opacity()), content.look().blend().css(), List.of(Blend.values()), words, wash);
    }

    static WashFields wash(Numbers n, Wash w) {
        return new WashFields(w.stops().stream().map(s -> new StopFields(n.percent(s.at()), s.colour().told(), n.percent(s.opacity()))).toList(), n.degrees(w.turn()), w.round());
    }

    private static WordsFields words(Numbers n, Panel panel, Words w) {
        LetterStyle style = w.style();
        double overflow = Lettering.overflow(panel, w);
        return new WordsFields(w.text(), style.typeface().label(), Stream.of(Typeface.values()).map(Typeface::label).toList(), n.letters(style.size()), n.percent(style.leading()),
                String.format(Locale.ROOT, "%.0f", style.tracking()), w.colour().told(), style.side().label(), w.boxed().isPresent(), n.length(w.boxed().map(Boxed::padding).orElse(0.0)),
                w.boxed().map(Boxed::lie).orElse(Lie.MIDDLE).label(), n.length(w.centre().x()), n.length(w.centre().y()), n.degrees(w.turn()), Setting.missing(style.typeface(), w.text()),
                overflow > 0.005 ? n.length(overflow) : "");
    }
}
