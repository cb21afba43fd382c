package plainlantern.sheet;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** All tones on a sheet: of its layers, its glazes, its vistas and its paper. */
public final class Tones {
    private Tones() {}

    private static Stream<Tone> of(Treatment treatment) {
        return Stream.of(treatment.under(), treatment.tone()).filter(tone -> !tone.neutral());
    }

    /** Those that change something or follow a name. */
    static Stream<Tone> of(Contents contents) {
        Stream<Treatment> layers = contents.elements().stream().flatMap(e -> e.holder().stream()).flatMap(h -> h.pictures().stream())
                .map(PictureLayer::treatment);
        Stream<Treatment> others = Stream.concat(contents.vistas().stream().map(Vista::treatment),
                contents.paper().pictured().stream().map(Paper.Pictured::treatment));
        Stream<Tone> glazes = contents.elements().stream().flatMap(e -> e.glaze().stream()).map(Glaze::tone).filter(t -> !t.neutral());
        return Stream.concat(Stream.concat(layers, others).flatMap(Tones::of), glazes);
    }

    /** How many there are that follow that tone of the sheet. */
    public static long followers(Sheet sheet, String id) {
        return of(sheet.contents()).filter(tone -> tone.named().equals(Optional.of(id))).count();
    }

    /** All tables of colours that are used, under names, too; each once. */
    public static Collection<ColourTable> tables(Sheet sheet) {
        return Stream.concat(of(sheet.contents()), sheet.styles().tones().stream().map(NamedTone::tone))
                .flatMap(tone -> tone.table().stream()).collect(Collectors.toMap(ColourTable::id, table -> table, (one,
                same) -> one)).values();
    }

    /** The sheet with each of them changed; what is neutral stays that. */
    public static Sheet changing(Sheet sheet, UnaryOperator<Tone> change) {
        if (of(sheet.contents()).findAny().isEmpty()) return sheet;
        Sheet layers = sheet.everywhere(e -> e.glaze().filter(g -> !g.tone().neutral()).<Element>map(g -> g.toned(change.apply(g.tone()),
                g.toneOff()))
                .orElseGet(() -> e.holding(h -> h.changingPictures(p -> p.treated(p.treatment().toning(change))))));
        Sheet papered = layers.paper().pictured().map(p -> layers.withPaper(p.treated(p.treatment().toning(change)))).orElse(layers);
        return papered.changingVistas(v -> v.treated(v.treatment().toning(change)));
    }

    /** The sheet with its named tones changed, each by its id where it is one of those, and all that follow them. */
    public static Sheet followed(Sheet sheet, Map<String, Tone> changed) {
        List<NamedTone> tones = sheet.styles().tones().stream()
                .map(t -> changed.containsKey(t.id()) ? new NamedTone(t.id(), t.name(), changed.get(t.id())) : t).toList();
        return changing(sheet.withStyles(sheet.styles().withTones(tones)), tone -> tone.named().filter(changed::containsKey)
                .map(id -> changed.get(id).following(tone.named()).framed(tone.vignette().flatMap(Vignette::frame))).orElse(tone));
    }
}
