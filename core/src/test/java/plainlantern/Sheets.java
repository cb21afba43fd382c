package plainlantern;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
    /** What a number or a text of a document or an edit is made by someone who means harm, as JSON. */
    public static final List<String> HOSTILE = List.of("1e999", "-1e999", "1e307", "NaN", "1e-320", "-0.0", "null", "[]",
            "{}", "true", "\"\"",
            "\"<b hx-get=/x>\"", "\"" + "x".repeat(40_000) + "\"", "\"1" + " ".repeat(20_000) + "x\"",
                    "\"rgb(1" + " ".repeat(20_000) + "\"",
            "\"" + "-".repeat(10_000) + "1\"", "\"a\\u0000b\"", "\"\\ud800\"", "9".repeat(900));

    public static final Picture DAWN = new Picture("d".repeat(64), "Dawn", 6000, 4000);
    public static final Picture TALL = new Picture("e".repeat(64), "Reeds", 3600, 5400);

    private Sheets() {}

    /** {@code sheet} after edits in JSON, with single quotes for double ones. */
    public static Sheet after(Sheet sheet, String... edits) {
        Sheet now = sheet;
        for (String json : edits) now = EditReader.read(json.replace('\'', '"'), now).on(now);
        return now;
    }

    public static Sheet any(Chance chance) {
        List<Panel> panels = new ArrayList<>();
        for (Panel panel : chance.list(0, 6, Sheets::panel)) panels.add(numbered(panel, panels.size() + 1));
        Paper paper = chance.of(new Paper.None(), new Paper.Plain(Colour.of("#F4EBDD")), new Paper.Plain(Colour.WHITE),
                new Paper.Washed(List.of(new Stop(0, Colour.WHITE, 1), new Stop(1, Colour.of("#446688@s1"), 1)), 30, true), new Paper.Pictured(DAWN.id(), 4));
        return new Sheet(chance.text(20), chance.of(Unit.values()), length(chance, 5, 3000), length(chance, 5, 3000),
                length(chance, 30, 1200), 3, new Margins(1, 2.5, 0, 1 / 3.0),
                paper, List.of(DAWN, TALL), List.copyOf(panels), panels.size(), List.of(), Guides.FIRST, List.of(),
                        Styles.NONE, Limits.FIRST);
    }

    private static Panel numbered(Panel p, int number) {
        return new Panel("p" + number, p.name(), p.locked(), p.hidden(), p.role(), p.group(), p.outline(), p.seat(),
                p.content(), p.finish());
    }

    private static Panel panel(Chance chance) {
        Outline outline = chance.flag() ? new Rectangle(length(chance, 0, 40), length(chance, 0, 40), 0, 3) : new Ellipse();
        Seat seat = new Seat(new Point(length(chance, -200, 600), length(chance, -200, 600)), length(chance, 1, 400),
                length(chance, 1, 400), length(chance, -180, 180), chance.flag());
        Finish finish = chance.of(Finish.NONE, Finish.NONE,
                Finish.NONE.rimmed(Optional.of(new Rim(0.3, Colour.WHITE, Rim.Side.OUTSIDE, Rim.Dash.DOTTED, Rim.Join.ROUND)))
                .looking(new Look(0.7, Blend.SCREEN))
                .shadowed(Optional.of(new Shadow(7, 300, 2, -0.5, Colour.of("#123456"), 0.4))).feathered(0.25));
        return new Panel("p", chance.text(12), chance.whole(0, 5) == 1, chance.whole(0, 5) == 1, chance.whole(0, 5) == 1 ? Role.CAPTION
                : Role.PANEL, chance.of("", "", "g1"), outline, seat,
                chance.list(0, 3, c -> c.by(() -> shown(c), () -> shown(c), () -> shown(c), () -> wash(c), () -> words(c))
                        .looking(new Look(c.of(1.0, 1.0, 0.4), c.of(Blend.NORMAL, Blend.NORMAL, Blend.MULTIPLY)))), finish);
    }

    private static Content shown(Chance c) {
        boolean held = c.flag();
        return new Content.OwnPicture(c.of(DAWN, TALL).id(), c.of(Fit.values()),
                new Placement(new Point(length(c, -90, 90), length(c, -90, 90)), length(c, 0.01, 2), length(c, 0.01, 2),
                length(c, -180, 180), !held), held);
    }

    private static Content wash(Chance c) {
        double a = length(c, 0, 0.5);
        double b = length(c, 0.5, 1);
        return new Content.Wash(List.of(new Stop(a, Colour.WHITE, b), new Stop(b, Colour.of("#123456"), a)), length(c, -180, 180),
                c.flag(), Look.PLAIN);
    }

    private static Content words(Chance c) {
        double at = length(c, -90, 90);
        return new Content.Words(c.text(9), new LetterStyle(c.of(Typeface.values()), length(c, 0.5, 30), Setting.Side.LEFT, 1.1, at),
                Colour.WHITE, new Point(at, -at), at,
                at < 0 ? Optional.of(new Content.Boxed(1, Content.Lie.TOP)) : Optional.empty(), Look.PLAIN);
    }

    /** With seven digits after the point at most. */
    private static double length(Chance chance, double low, double high) {
        return Math.round(chance.between(low, high) * 1e7) / 1e7;
    }
}
