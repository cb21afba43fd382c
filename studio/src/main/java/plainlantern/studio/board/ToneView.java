package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.Questions.Question;
import plainlantern.asking.Questions;
import plainlantern.editing.toning.Aim;
import plainlantern.editing.toning.TonePart;
import plainlantern.sheet.Blend;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Element;
import plainlantern.sheet.HueRange;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Texture;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Tones;
import plainlantern.sheet.Treatment;
import plainlantern.sheet.Vignette;

/**
 * What Tone shows: the tone of the first of the selected pictures, or of the one behind all panels where nothing is selected.
 *
 * @param whose absent where there is no picture in what is selected
 * @param paper whether there is a picture behind all panels
 * @param any   whether any panel shows a picture
 * @param kept  the tones of the sheet
 * @param glazes those of the sheet
 */
public record ToneView(Optional<Whose> whose, List<Part> parts, Coloured coloured, boolean paper, boolean any, List<Kept> kept,
        GlazesView glazes, Hiding hiding) {
    /** How the first of the selection is bent and blurred, and its veil, where it could have such. */
    public record Hiding(Optional<GlazesView.Seen> bent, Optional<VeilView> veil) {}

    /** Colours by brightness and from a table, where there are such. */
    public record Coloured(Optional<Stops> brightness, Optional<Tabled> table) {}

    /**
     * @param title   the selection in words
     * @param picture the name of the picture whose tone is shown
     * @param same    whether all of the selection have that tone
     * @param several whether there is more than one picture
     * @param slice   whether it is a slice of a vista
     * @param whole   whether that vista is meant whole
     * @param named   the name of the tone that it follows, empty where none
     * @param toned   whether anything is changed
     * @param off     whether it is switched off for now
     */
    public record Whose(String title, String picture, boolean same, boolean several, boolean slice, boolean whole, String named,
            boolean toned, boolean off) {}

    /**
     * One value.
     *
     * @param value   as people read it
     * @param number  the same for a slider, in what people type
     * @param neutral what a double click sets
     */
    public record Value(String name, String label, String value, double number, double least, double most, double step, String neutral) {}

    /**
     * @param key    which part of a tone
     * @param of     what an edit calls it, empty where names alone tell
     * @param values those with sliders
     * @param fields those that are typed
     */
    public record Part(String key, String title, String of, boolean on, List<Value> values, List<Value> fields) {}

    public record Stops(List<LayersView.StopFields> stops, Value strength, String blend, List<Blend> blends) {}

    public record Tabled(String id, String name, Value strength) {}

    /** @param users how many follow it */
    public record Kept(String id, String name, long users, boolean on) {}

    /** The range of hues that a part is of. */
    public static List<String> hues() {
        return Stream.of(HueRange.Name.values()).map(HueRange.Name::label).toList();
    }

    static ToneView of(Sheet sheet, Collection<String> selected, Looking looking) {
        Aim aim = new Aim(List.copyOf(selected), looking.layer(), looking.whole(), selected.isEmpty());
        boolean paper = sheet.paper().pictured().isPresent();
        boolean any = sheet.holders().stream().anyMatch(h -> !h.pictures().isEmpty());
        GlazesView glazes = GlazesView.of(sheet, selected);
        List<Aim.Meant> all = aim.meant(sheet);
        Optional<Aim.Meant> meant = all.stream().findFirst();
        List<Kept> kept = sheet.styles().tones().stream().map(t -> new Kept(t.id(), t.name(), Tones.followers(sheet, t.id()),
                meant.flatMap(m -> m.treatment().tone().named()).equals(Optional.of(t.id())))).toList();
        Numbers n = new Numbers(sheet);
        Hiding hiding = new Hiding(GlazesView.seen(sheet, selected, looking, n), VeilView.of(sheet, selected, looking, n));
        if (meant.isEmpty()) return new ToneView(Optional.empty(), List.of(), new Coloured(Optional.empty(), Optional.empty()), paper,
                any, kept, glazes, hiding);
        Tone tone = meant.get().treatment().tone();
        return new ToneView(Optional.of(whose(sheet, selected, looking, all)), parts(tone, n),
                new Coloured(tone.brightness().map(b -> stops(b, n)), tone.table().map(t -> new Tabled(t.id(), t.name(),
                value(question(ColourTable.class, "strength"), t, n, 1)))), paper, any, kept, glazes,
                hiding);
    }

    private static Whose whose(Sheet sheet, Collection<String> selected, Looking looking, List<Aim.Meant> all) {
        List<PictureLayer> layers = sheet.chosen(selected).stream().flatMap(e -> e.holder().stream())
                .flatMap(h -> h.picture(looking.layer()).stream()).toList();
        Aim.Meant meant = all.get(0);
        Treatment treatment = meant.treatment();
        List<Element> glazes = sheet.chosen(selected).stream().filter(e -> e.glaze().isPresent()).toList();
        int count = layers.size() + glazes.size();
        String title = count == 0 ? "Paper" : count == 1 ? sheet.chosen(selected).get(0).name()
                : layers.isEmpty() ? Element.counted(glazes) : count + " pictures";
        return new Whose(title, meant.picture().isEmpty() ? title : sheet.picture(meant.picture()).name(),
                all.stream().allMatch(m -> m.treatment().tone().equals(treatment.tone())), count > 1,
                layers.stream().anyMatch(l -> l.slice().isPresent()), looking.whole(),
                treatment.tone().named().map(id -> sheet.styles().tone(id).name()).orElse(""), !treatment.tone().plain(), treatment.off());
    }

    private static List<Part> parts(Tone tone, Numbers n) {
        Vignette vignette = tone.vignette().orElse(Vignette.FIRST);
        Texture texture = tone.texture().orElse(Texture.FIRST);
        Stream<Part> first = Stream.of(part(TonePart.LIGHT, tone, values(tone.balance(), n)), part(TonePart.LEVELS, tone,
                values(tone.levels(), n)),
                part(TonePart.COLOUR, tone, values(tone.colouring(), n)));
        Stream<Part> hues = Stream.of(HueRange.Name.values()).map(name -> {
            HueRange range = tone.colouring().hue(name);
            boolean mono = tone.colouring().mono();
            List<Value> values = values(range, n).stream().filter(v -> v.name().equals("grey") == mono).toList();
            return new Part("hue", name.label(), name.label(), !range.equals(HueRange.NEUTRAL), values, List.of());
        });
        List<Value> textured = Questions.of(Texture.class).stream().map(q -> value(q, texture, n, 0)).toList();
        Stream<Part> last = Stream.of(part(TonePart.VIGNETTE, tone, Questions.of(Vignette.class).stream().map(q -> value(q, vignette, n,
                (Double) Questions.value(Vignette.FIRST, q.name()))).toList()),
                new Part(TonePart.TEXTURE.label(), TonePart.TEXTURE.title(), "", TonePart.TEXTURE.in(tone),
                textured.stream().filter(v -> List.of("grain", "sharp").contains(v.name())).toList(),
                textured.stream().filter(v -> !List.of("grain", "sharp").contains(v.name())).toList()));
        return Stream.of(first, hues, last).flatMap(s -> s).toList();
    }

    private static Part part(TonePart part, Tone tone, List<Value> values) {
        return new Part(part.label(), part.title(), "", part.in(tone), values, List.of());
    }

    private static List<Value> values(Record record, Numbers n) {
        return Questions.of(record.getClass()).stream().map(q -> value(q, record, n, 0)).toList();
    }

    private static Question question(Class<?> type, String name) {
        return Questions.of(type).stream().filter(q -> q.name().equals(name)).findFirst().orElseThrow();
    }

    private static Value value(Question q, Record record, Numbers n, double neutral) {
        Object told = Questions.value(record, q.name());
        double value = told instanceof Number number ? number.doubleValue() : 0;
        return switch (q.kind()) {
            case SHARE -> new Value(q.name(), q.label(), plain(value * 100) + " %", value * 100, q.least() * 100, q.most() * 100, 1,
                    plain(neutral * 100) + " %");
            case LENGTH -> new Value(q.name(), q.label(), n.length(value), value, q.least(), q.most(), 0.01, n.length(neutral));
            case WHOLE -> new Value(q.name(), q.label(), String.valueOf((long) value), value, q.least(), q.most(), 1, "1");
            default -> new Value(q.name(), q.label(), plain(value) + unit(q.name(), value), value, q.least(), q.most(),
                    q.most() <= 10 ? 0.05 : 1, plain(neutral) + unit(q.name(), neutral));
        };
    }

    private static String unit(String name, double value) {
        return switch (name) {
            case "exposure" -> plain(Math.abs(value)).equals("1") ? " stop" : " stops";
            case "temperature" -> " mired";
            case "hue" -> "°";
            default -> "";
        };
    }

    /** With two digits at most, and a true minus. */
    private static String plain(double value) {
        String text = String.format(Locale.ROOT, "%.2f", value + 0.0).replaceFirst("\\.?0+$", "");
        return text.equals("-0") || text.isEmpty() ? "0" : text.replace('-', '\u2212');
    }

    private static Stops stops(ByBrightness how, Numbers n) {
        return new Stops(LayersView.stops(n, how.stops()), value(question(ByBrightness.class, "strength"), how, n, 1), how.blend().css(),
                List.of(Blend.values()));
    }
}
