package plainlantern;

import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import plainlantern.editing.EditReader;
import plainlantern.geometry.Point;
import plainlantern.geometry.Unit;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Content;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** Sheets for tests: one by edits written as people's browsers write them, and any by chance. */
public final class Sheets {
    public static final Picture DAWN = new Picture("d".repeat(64), "Dawn", 6000, 4000);
    public static final Picture TALL = new Picture("e".repeat(64), "Reeds", 3600, 5400);

    private Sheets() {}

    /** {@code sheet} after edits in JSON, with single quotes for double ones. */
    public static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) now = EditReader.read(json.replace('\'', '"'), now).apply(now);
        return now;
    }

    public static Arbitrary<Sheet> any() {
        Arbitrary<List<Panel>> panels = panel().list().ofMaxSize(6).map(Sheets::numbered);
        Arbitrary<Paper> paper = Arbitraries.of(new Paper.None(), new Paper.Plain(Colour.of("#F4EBDD")), new Paper.Plain(Colour.WHITE));
        return Combinators.combine(Arbitraries.strings().ofMinLength(1).ofMaxLength(20).filter(s -> !s.isBlank()), Arbitraries.of(Unit.values()),
                length(5, 3000), length(5, 3000), length(30, 1200), paper, panels).as((name, unit, width, height, ppi, behind, all) ->
                new Sheet(name, unit, width, height, ppi, 3, new Margins(1, 2.5, 0, 1 / 3.0), behind, List.of(DAWN, TALL), List.copyOf(all), all.size(), List.of(), Guides.FIRST, List.of()));
    }

    private static List<Panel> numbered(List<Panel> panels) {
        return IntStream.range(0, panels.size()).mapToObj(i -> {
            Panel p = panels.get(i);
            return new Panel("p" + (i + 1), p.name(), p.locked(), p.hidden(), p.group(), p.outline(), p.seat(), p.content());
        }).toList();
    }

    private static Arbitrary<Panel> panel() {
        Arbitrary<Outline> outline = Arbitraries.oneOf(Arbitraries.just(new Ellipse()),
                Combinators.combine(length(0, 40), length(0, 40)).as((a, b) -> new Rectangle(a, b, 0, a)));
        Arbitrary<Seat> seat = Combinators.combine(length(-200, 600), length(-200, 600), length(1, 400), length(1, 400), length(-180, 180), Arbitraries.of(true, false))
                .as((x, y, w, h, turn, mirrored) -> new Seat(new Point(x, y), w, h, turn, mirrored));
        Arbitrary<List<Content>> content = Combinators.combine(Arbitraries.of(DAWN, TALL), Arbitraries.of(Fit.values()), length(-90, 90), length(-90, 90),
                length(0.01, 2), length(-180, 180), Arbitraries.of(true, false)).as((picture, fit, x, y, scale, turn, held) -> (Content)
                new Content.OwnPicture(picture.id(), fit, new Placement(new Point(x, y), scale, scale, turn, !held), held)).list().ofMaxSize(1);
        return Combinators.combine(Arbitraries.strings().ascii().ofMinLength(1).ofMaxLength(12), outline, seat, content)
                .as((name, form, where, shown) -> new Panel("p", name, name.length() % 5 == 1, name.length() % 7 == 1, name.length() % 3 == 0 ? "g1" : "", form, where, shown));
    }

    private static Arbitrary<Double> length(double low, double high) {
        return Arbitraries.doubles().between(low, high).ofScale(7);
    }
}
