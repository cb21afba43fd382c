package plainlantern;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Tuple;
import plainlantern.editing.EditReader;
import plainlantern.geometry.Point;
import plainlantern.geometry.Unit;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Blend;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Limits;
import plainlantern.sheet.Look;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Role;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Styles;

/** Sheets for tests: one by edits written as people's browsers write them, and any by chance. */
public final class Sheets {
    public static final Picture DAWN = new Picture("d".repeat(64), "Dawn", 6000, 4000);
    public static final Picture TALL = new Picture("e".repeat(64), "Reeds", 3600, 5400);

    private Sheets() {}

    /** {@code sheet} after edits in JSON, with single quotes for double ones. */
    public static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) now = EditReader.read(json.replace('\'', '"'), now).on(now);
        return now;
    }

    public static Arbitrary<Sheet> any() {
        Arbitrary<List<Panel>> panels = panel().list().ofMaxSize(6).map(Sheets::numbered);
        Arbitrary<Paper> paper = Arbitraries.of(new Paper.None(), new Paper.Plain(Colour.of("#F4EBDD")), new Paper.Plain(Colour.WHITE),
                new Paper.Washed(List.of(new Stop(0, Colour.WHITE, 1), new Stop(1, Colour.of("#446688@s1"), 1)), 30, true), new Paper.Pictured(DAWN.id(), 4));
        return Combinators.combine(Arbitraries.strings().ofMinLength(1).ofMaxLength(20).filter(s -> !s.isBlank()), Arbitraries.of(Unit.values()),
                length(5, 3000), length(5, 3000), length(30, 1200), paper, panels).as((name, unit, width, height, ppi, behind, all) ->
                new Sheet(name, unit, width, height, ppi, 3, new Margins(1, 2.5, 0, 1 / 3.0), behind, List.of(DAWN, TALL), List.copyOf(all), all.size(), List.of(), Guides.FIRST, List.of(), Styles.NONE, Limits.FIRST));
    }

    private static List<Panel> numbered(List<Panel> panels) {
        return IntStream.range(0, panels.size()).mapToObj(i -> {
            Panel p = panels.get(i);
            return new Panel("p" + (i + 1), p.name(), p.locked(), p.hidden(), p.role(), p.group(), p.outline(), p.seat(), p.content(), p.finish());
        }).toList();
    }

    private static Arbitrary<Panel> panel() {
        Arbitrary<Outline> outline = Arbitraries.oneOf(Arbitraries.just(new Ellipse()),
                Combinators.combine(length(0, 40), length(0, 40)).as((a, b) -> new Rectangle(a, b, 0, a)));
        Arbitrary<Seat> seat = Combinators.combine(length(-200, 600), length(-200, 600), length(1, 400), length(1, 400), length(-180, 180), Arbitraries.of(true, false))
                .as((x, y, w, h, turn, mirrored) -> new Seat(new Point(x, y), w, h, turn, mirrored));
        Arbitrary<Look> look = Combinators.combine(Arbitraries.of(1.0, 1.0, 0.4), Arbitraries.of(Blend.NORMAL, Blend.NORMAL, Blend.MULTIPLY)).as(Look::new);
        Arbitrary<Content> shown = Combinators.combine(Arbitraries.of(DAWN, TALL), Arbitraries.of(Fit.values()), length(-90, 90), length(-90, 90),
                length(0.01, 2), length(-180, 180), Arbitraries.of(true, false)).as((picture, fit, x, y, scale, turn, held) -> (Content)
                new Content.OwnPicture(picture.id(), fit, new Placement(new Point(x, y), scale, scale, turn, !held), held));
        Arbitrary<Content> wash = Combinators.combine(length(0, 0.5), length(0.5, 1), length(-180, 180), Arbitraries.of(true, false)).as((a, b, turn, round) -> (Content)
                new Content.Wash(List.of(new Stop(a, Colour.WHITE, b), new Stop(b, Colour.of("#123456"), a)), turn, round, Look.PLAIN));
        Arbitrary<Content> words = Combinators.combine(Arbitraries.strings().ofMinLength(1).ofMaxLength(9).filter(s -> !s.isBlank()), Arbitraries.of(Typeface.values()), length(0.5, 30), length(-90, 90))
                .as((text, face, size, at) -> (Content) new Content.Words(text, new LetterStyle(face, size, Setting.Side.LEFT, 1.1, at), Colour.WHITE, new Point(at, -at), at,
                        at < 0 ? Optional.of(new Content.Boxed(1, Content.Lie.TOP)) : Optional.empty(), Look.PLAIN));
        Arbitrary<List<Content>> content = Combinators.combine(Arbitraries.frequencyOf(Tuple.of(4, shown), Tuple.of(1, wash), Tuple.of(1, words)), look)
                .as(Content::looking).list().ofMaxSize(3);
        return Combinators.combine(Arbitraries.strings().ascii().ofMinLength(1).ofMaxLength(12), outline, seat, content)
                .as((name, form, where, layers) -> new Panel("p", name, name.length() % 5 == 1, name.length() % 7 == 1, name.length() % 6 == 5 ? Role.CAPTION : Role.PANEL, name.length() % 3 == 0 ? "g1" : "", form, where, layers,
                        name.length() % 4 == 1 ? Finish.NONE.rimmed(Optional.of(new Rim(0.3, Colour.WHITE, Rim.Side.OUTSIDE, Rim.Dash.DOTTED, Rim.Join.ROUND))).looking(new Look(0.7, Blend.SCREEN))
                                .shadowed(Optional.of(new Shadow(name.length(), 300, 2, -0.5, Colour.of("#123456"), 0.4))).feathered(0.25) : Finish.NONE));
    }

    private static Arbitrary<Double> length(double low, double high) {
        return Arbitraries.doubles().between(low, high).ofScale(7);
    }
}
