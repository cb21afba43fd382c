package plainlantern.studio.board;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.fitting.Typesetting;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Typeface;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Content;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words.Boxed;
import plainlantern.sheet.Words.Lie;
import plainlantern.sheet.Words;

/**
 * The layers of the first selected panel, from front to back, and the chosen one's numbers.
 *
 * @param front the front layer's place
 */
public record LayersView(List<Row> rows, int front, Optional<Chosen> chosen) {
    /** Of what holds none. */
    static final LayersView NONE = new LayersView(List.of(), -1, Optional.empty());

    /**
     * @param picture its id, empty where the layer is none
     * @param on      whether it is the chosen one
     * @param off     whether it is switched off
     */
    public record Row(int at, String kind, String name, String picture, boolean on, boolean off) {}

    public record Chosen(int at, String opacity, String blend, List<Blend> blends, Optional<WordsFields> words,
            Optional<WashFields> wash) {}

    /**
     * @param missing  signs that the typeface does not have, empty where none
     * @param overflow by how much they are larger than their box, empty where they fit
     */
    public record WordsFields(String text, LetterFields letters, BoxFields box, PlaceFields place, String missing, String overflow) {}

    public record LetterFields(String typeface, List<String> typefaces, int weight, List<LettersView.Weight> weights, String size,
            String leading, String tracking, String colour, String side) {}

    public record BoxFields(boolean boxed, String padding, String lie) {}

    public record PlaceFields(String across, String down, String turn) {}

    public record WashFields(List<StopFields> stops, String turn, boolean round) {}

    public record StopFields(String at, String colour, String opacity) {}

    static LayersView of(Sheet sheet, Holder panel, int layer) {
        int on = layer >= 0 && layer < panel.content().size() ? layer : panel.acting(layer) >= 0 ? panel.acting(layer)
                : panel.content().size() - 1;
        List<Row> rows = new ArrayList<>();
        for (int at = panel.content().size() - 1; at >= 0; at--) rows.add(row(sheet, panel.content().get(at), at, at == on));
        return new LayersView(rows, panel.content().size() - 1, on < 0 ? Optional.empty()
                : Optional.of(chosen(new Numbers(sheet), panel, on)));
    }

    /** A layer as lists of them tell it. */
    static Row row(Sheet sheet, Content content, int at, boolean on) {
        return content.as(new Content.Kinds<>() {
            @Override
            public Row picture(PictureLayer layer) {
                String id = sheet.pictureOf(layer);
                return new Row(at, layer.slice().isPresent() ? "slice" : "picture", sheet.picture(id).name(), id, on, layer.look().off());
            }

            @Override
            public Row wash(Wash wash) {
                return new Row(at, "wash", wash.stops().size() == 1 ? "Colour" : "Colours", "", on, wash.look().off());
            }

            @Override
            public Row words(Words words) {
                return new Row(at, "words", words.text().lines().findFirst().orElse(""), "", on, words.look().off());
            }
        });
    }

    private static Chosen chosen(Numbers n, Holder panel, int at) {
        Content content = panel.content().get(at);
        return new Chosen(at, n.percent(content.look().opacity()), content.look().blend().css(), List.of(Blend.values()),
                content.words().map(w -> words(n, panel, w)), content.wash().map(w -> wash(n, w)));
    }

    static WashFields wash(Numbers n, Wash w) {
        return new WashFields(stops(n, w.stops()), n.degrees(w.turn()), w.round());
    }

    static List<StopFields> stops(Numbers n, List<Stop> stops) {
        return stops.stream().map(s -> new StopFields(n.percent(s.at()), s.colour().told(), n.percent(s.opacity()))).toList();
    }

    private static WordsFields words(Numbers n, Holder panel, Words w) {
        LetterStyle style = w.style();
        double overflow = Typesetting.overflow(panel, w);
        LetterFields letters = new LetterFields(style.typeface().label(), Stream.of(Typeface.values()).map(Typeface::label).toList(),
                style.weight(), LettersView.weights(style.typeface()),
                n.letters(style.size()), n.percent(style.leading()), String.format(Locale.ROOT, "%.0f", style.tracking()),
                        w.colour().told(),
                style.side().label());
        BoxFields box = new BoxFields(w.boxed().isPresent(), n.length(w.boxed().map(Boxed::padding).orElse(0.0)),
                w.boxed().map(Boxed::lie).orElse(Lie.MIDDLE).label());
        PlaceFields place = new PlaceFields(n.length(w.centre().x()), n.length(w.centre().y()), n.degrees(w.turn()));
        return new WordsFields(w.text(), letters, box, place, style.setting().face().missing(w.text()), overflow > 0.005
                ? n.length(overflow) : "");
    }
}
