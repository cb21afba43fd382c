package plainlantern;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import plainlantern.asking.Unit;
import plainlantern.editing.reading.EditReader;
import plainlantern.geometry.Point;
import plainlantern.lettering.FaceName;
import plainlantern.lettering.LetterStyle;
import plainlantern.lettering.Setting;
import plainlantern.lettering.Typeface;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Heart;
import plainlantern.outline.Letters;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.outline.RegularPolygon;
import plainlantern.outline.Ring;
import plainlantern.outline.Slanted;
import plainlantern.outline.Spelling;
import plainlantern.outline.Star;
import plainlantern.pattern.EvenGrid;
import plainlantern.sheet.Balance;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Blend;
import plainlantern.sheet.ByBrightness;
import plainlantern.sheet.Caption;
import plainlantern.sheet.Cleared;
import plainlantern.sheet.Colour;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Colouring;
import plainlantern.sheet.Content;
import plainlantern.sheet.Contents;
import plainlantern.sheet.Dot;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Float;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Frame;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.HueRange;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Levels;
import plainlantern.sheet.Limits;
import plainlantern.sheet.Look;
import plainlantern.sheet.Margins;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.NamedTone;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Rule;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Shadow;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetFormat;
import plainlantern.sheet.Stop;
import plainlantern.sheet.Styles;
import plainlantern.sheet.Swatch;
import plainlantern.sheet.Texture;
import plainlantern.sheet.Through;
import plainlantern.sheet.Tone;
import plainlantern.sheet.Treatment;
import plainlantern.sheet.Veil;
import plainlantern.sheet.VeilPart;
import plainlantern.sheet.Vignette;
import plainlantern.sheet.Vista;
import plainlantern.sheet.Wash;
import plainlantern.sheet.Words;

/** Sheets for tests: one by edits written as people's browsers write them, and any by chance. */
public final class Sheets {
    private static final Letters LETTERS = Letters.of(Spelling.of("Ebb", FaceName.of(Typeface.OSWALD, 700)), Typeface.OSWALD.face(700));
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

    /** The vista that any sheet may have. */
    public static final String VISTA = "v90";

    /**
     * Any sheet: two panels, a float, a caption and a rule under the ids p1 to p5, each of which may be missing, and others of any
     * kind; with a vista, finishes, colours and a layout by chance.
     */
    public static Sheet any(Chance chance) {
        boolean vista = chance.flag();
        List<Element> elements = new ArrayList<>();
        List<Function<Chance, Element>> kinds = List.of(c -> panel(c, vista), c -> panel(c, vista),
                c -> Float.of(panel(c, vista)), Sheets::caption,
                Sheets::rule, Sheets::glaze);
        for (int i = 0; i < kinds.size(); i++) if (chance.whole(0, 7) > 0) elements.add(numbered(kinds.get(i).apply(chance), i + 1));
        if (chance.whole(0, 3) > 0) elements.replaceAll(e -> e.id().equals("p1") ? beside(e, 50) : e.id().equals("p2") ? beside(e,
                114) : e);
        for (Element more : chance.list(0, 3, c -> kinds.get(c.whole(0, kinds.size() - 1)).apply(c))) {
            elements.add(numbered(more, 7 + elements.size()));
        }
        Frame frame = new Frame(new Point(length(chance, 0, 200), 90), 400, 300, length(chance, -40, 40), chance.flag());
        List<Vista> vistas = List.of(new Vista(VISTA, DAWN.id(), frame, chance.flag(),
                chance.of(Treatment.NONE, Treatment.NONE.toned(TONE)),
                chance.flag() ? Optional.empty() : Optional.of(plane(chance))));
        boolean both = List.of("p1", "p2").stream().allMatch(id -> elements.stream().anyMatch(e -> e.id().equals(id)));
        List<Layout> layouts = !both || chance.flag() ? List.of()
                : List.of(new Layout(new EvenGrid(1, 2, 2, 0), Optional.empty(), 0, Optional.empty(), List.of("p1", "p2")));
        boolean seen = elements.stream().anyMatch(e -> e.holder().flatMap(Holder::slice).isPresent());
        Contents contents = new Contents(paper(chance),
                List.of(chance.flag() ? DAWN : DAWN.focused(Optional.of(new Focal(0.3, 0.6, false))), TALL), elements, 90, layouts, seen
                ? vistas : List.of());
        Styles styles = new Styles(List.of(new Swatch("s1", "Slate", Colour.of("#446688"))), List.of(NAMED),
                List.of(new NamedTone("t1", "Dusk", TONE)), 2);
        SheetFormat format = new SheetFormat(chance.text(20), chance.of(Unit.values()), length(chance, 5, 3000), length(chance, 5, 3000),
                length(chance, 30, 1200), 3, new Margins(1, 2.5, 0, 1 / 3.0));
        return new Sheet(format, contents, styles, Guides.FIRST, Limits.FIRST);
    }

    private static Element glaze(Chance chance) {
        Holder form = panel(chance, false);
        Tone tone = chance.whole(0, 2) > 0 ? Tone.NEUTRAL : TONE.following(chance.flag() ? Optional.of("t1") : Optional.empty());
        return new Glaze(form.basics(), form.outline(), chance.whole(0, 3) == 0, new Through(chance.flag() ? 0 : length(chance, 0, 20),
                chance.flag() ? 0 : length(chance, -40, 40), chance.flag() ? 0 : length(chance, -40, 40), bend(chance)), tone,
                veil(chance, Veil.Rests.PANEL), chance.flag());
    }

    private static Optional<Bend> bend(Chance chance) {
        return chance.flag() ? Optional.empty() : Optional.of(chance.of(new Bend.Wave(length(chance, 0, 9), length(chance, 1, 50),
                length(chance, -180, 180), length(chance, -180, 180), chance.of(Bend.Wave.Shape.values())),
                new Bend.Twirl(length(chance, -400, 400), 0.3, 0.6, 0.8), new Bend.Bulge(length(chance, -1, 1), 0.5, 0.4, 1.2),
                new Bend.Mesh(2, 3, List.of(0.0, 0.0, 0.1, -0.2, 0.05, 0.0, 0.3, 0.0, 0.0, 0.0, -0.1, 0.2)),
                new Bend.Mesh(2, 2, List.of(0.3, 0.35, -0.25, 0.3, 0.2, -0.3, -0.3, -0.4))));
    }

    private static Optional<Veil> veil(Chance chance, Veil.Rests rests) {
        if (chance.whole(0, 3) > 0) return Optional.empty();
        List<Function<Chance, VeilPart>> kinds = List.of(c -> new VeilPart.Stroke(c.list(1, 4, d -> new Dot(length(d, -200, 900),
                length(d, -200, 900), length(d, 0, 1))), length(c, 1, 300), length(c, 0, 1), length(c, 0, 1), c.flag()),
                c -> new VeilPart.Gradient(c.flag(), new Point(length(c, -90, 0), 3), new Point(length(c, 1, 90), 40), c.flag(), 0.8,
                        false),
                c -> new VeilPart.Colours(Colour.of("#446688@s1"), 0.2, length(c, 0, 1), 1, c.flag()),
                c -> new VeilPart.Form(c.of("p1", "p2", "p90"), length(c, 0, 20), 0.5, false));
        return Optional.of(new Veil(rests, chance.whole(0, 4) == 0, chance.list(1, 3, c -> kinds.get(c.whole(0, 3)).apply(c))));
    }

    private static final NamedFinish NAMED = new NamedFinish("f1", "Gallery",
            Finish.NONE.rimmed(Optional.of(new Rim(0.4, Colour.of("#446688@s1"),
            Rim.Side.INSIDE, Rim.Dash.SOLID, Rim.Join.MITER))));

    /** A tone with something of every kind. */
    public static final Tone TONE = Tone.NEUTRAL.balanced(new Balance(20, -0.1, 0.5)).levelled(new Levels(0.05, 0.02, 0.3, 0.4, -0.3,
            0.2, 0.1))
            .coloured(new Colouring(0.2, 0.1, true, List.of()).with(HueRange.Name.BLUE, new HueRange(10, 0.2, -0.2, 0.3)))
            .tabled(Optional.of(new ColourTable("ab".repeat(32), "Dusk", 0.5)))
            .brightened(Optional.of(ByBrightness.about(Colour.of("#446688@s1"))))
            .vignetted(Optional.of(new Vignette(-0.4, 0.3))).textured(Optional.of(new Texture(0.3, 0.25, 2, 0.4, 0.2)));

    private static Paper paper(Chance chance) {
        return chance.of(new Paper.None(), new Paper.Plain(Colour.of("#F4EBDD")), new Paper.Plain(Colour.WHITE),
                new Paper.Washed(List.of(new Stop(0, Colour.WHITE, 1), new Stop(1, Colour.of("#446688@s1"), 1)), 30, true),
                new Paper.Pictured(DAWN.id(), 4, Treatment.NONE.toned(TONE)));
    }

    /** In a row with others, a gap between them. */
    private static Element beside(Element e, double across) {
        return ((Holder) e).withOutline(Rectangle.SHARP).withSeat(Seat.upright(new Point(across, 50), 60, 40)).lockedTo(false);
    }

    private static Element numbered(Element e, int number) {
        Basics b = e.basics();
        return e.with(new Basics("p" + number, b.name(), b.locked(), b.hidden(), b.group(), b.seat(), b.finish()));
    }

    private static Basics basics(Chance chance) {
        Seat seat = new Seat(new Point(length(chance, -200, 600), length(chance, -200, 600)), length(chance, 1, 400),
                length(chance, 1, 400), length(chance, -180, 180), chance.flag());
        Finish finish = chance.of(Finish.NONE, Finish.NONE, NAMED.finish(),
                Finish.NONE.rimmed(Optional.of(new Rim(0.3, Colour.WHITE, Rim.Side.OUTSIDE, Rim.Dash.DOTTED, Rim.Join.ROUND)))
                        .looking(new Look(0.7, Blend.SCREEN))
                        .shadowed(Optional.of(new Shadow(7, 300, 2, -0.5, Colour.of("#123456"), 0.4))).feathered(0.25));
        return new Basics("p", chance.text(12), chance.whole(0, 5) == 1, chance.whole(0, 5) == 1, chance.of("", "", "g1"), seat, finish);
    }

    /** A form of any kind. */
    public static Outline outline(Chance chance) {
        return chance.of(LETTERS, Rectangle.SHARP, new Rectangle(2, 0, 3, 1), new Ellipse(), new Star(5, 0.4, 1), new Ring(0.5),
                new Heart(),
                new RegularPolygon(7, 1, true), new Slanted(0.2, -0.1));
    }

    private static Panel panel(Chance chance, boolean vista) {
        Outline outline = chance.of(new Rectangle(length(chance, 0, 40), length(chance, 0, 40), 0, 3), Rectangle.SHARP,
                new Ellipse(), LETTERS, LETTERS);
        List<Content> content = new ArrayList<>(chance.list(0, 3,
                c -> c.by(() -> shown(c), () -> shown(c), () -> shown(c), () -> wash(c), () -> words(c))
                .looking(new Look(c.of(1.0, 1.0, 0.4), c.of(Blend.NORMAL, Blend.NORMAL, Blend.MULTIPLY)))));
        if (vista && chance.whole(0, 2) > 0) content.add(0, slice(chance));
        return new Panel(basics(chance), outline, content);
    }

    private static PictureLayer slice(Chance chance) {
        Nudge nudge = new Nudge(length(chance, -3, 3), 0.5, length(chance, 1, 1.2), length(chance, -5, 5), chance.flag());
        PictureLayer slice = chance.flag() ? PictureLayer.slice(VISTA) : PictureLayer.slice(VISTA).nudged(nudge);
        return slice.veiled(veil(chance, chance.of(Veil.Rests.values())));
    }

    private static Caption caption(Chance chance) {
        List<Content> content = chance.flag() ? List.of(wash(chance), words(chance)) : List.of(words(chance));
        return new Caption(basics(chance), Rectangle.rounded(length(chance, 0, 4)), content);
    }

    private static Rule rule(Chance chance) {
        Basics basics = basics(chance);
        return new Rule(basics, chance.flag() ? List.of() : List.of(new Rule.Bank("p1", 1), new Rule.Bank("p2", 3)), chance.flag());
    }

    private static PictureLayer shown(Chance c) {
        boolean held = c.flag();
        Pose pose = new Pose(new Point(length(c, -90, 90), length(c, -90, 90)), length(c, 0.01, 2), length(c, 0.01, 2),
                length(c, -180, 180), !held);
        Treatment treatment = c.of(Treatment.NONE, Treatment.NONE, Treatment.NONE.clearing(Optional.of(new Cleared(Colour.WHITE, 0.1,
                0.2))).toned(TONE),
                Treatment.NONE.toned(TONE.following(Optional.of("t1"))), Treatment.NONE.toned(Tone.NEUTRAL.levelled(new Levels(0, 0,
                length(c, -1, 1), 0, 0, 0, 0))));
        PictureLayer flat = PictureLayer.own(c.of(DAWN, TALL), c.of(Fit.values()), pose, held).treated(treatment)
                .veiled(veil(c, c.of(Veil.Rests.values())));
        if (c.whole(0, 4) == 0) return flat.seen(new Through(length(c, 0, 9), 0, 0, bend(c)));
        return c.whole(0, 3) > 0 ? flat : flat.mounted(Optional.of(plane(c)));
    }

    /** Any plane: a box whose corners are each moved by a quarter of it at most. */
    private static Plane plane(Chance c) {
        double far = length(c, 10, 400);
        Point[] box = {new Point(-far, -far), new Point(far, -far), new Point(far, far), new Point(-far, far)};
        return new Plane(Stream.of(box).map(p -> p.plus(new Point(length(c, -far / 4, far / 4), length(c, -far / 4, far / 4)))).toList(),
                length(c, 0.3, 3), c.flag());
    }

    private static Content wash(Chance c) {
        double a = length(c, 0, 0.5);
        double b = length(c, 0.5, 1);
        return new Wash(List.of(new Stop(a, Colour.WHITE, b), new Stop(b, Colour.of("#123456"), a)), length(c, -180, 180),
                c.flag(), Look.PLAIN, a < 0.2 ? Optional.of(onPanel(a, b)) : Optional.empty());
    }

    /** Without asking chance for more: what is tried with a seed stays the same. */
    private static Veil onPanel(double one, double other) {
        return new Veil(Veil.Rests.PANEL, one > 0.15, List.of(new VeilPart.Stroke(List.of(new Dot(-9, 4, 1), new Dot(99 * one, 20 * other,
                other)), 30 * other, other, 0.9, false), new VeilPart.Form("p1", one * 9, other, true)));
    }

    private static Content words(Chance c) {
        double at = length(c, -90, 90);
        return new Words(c.text(9), new LetterStyle(c.of(Typeface.values()), length(c, 0.5, 30), Setting.Side.LEFT, 1.1, at),
                Colour.WHITE, new Point(at, -at), at,
                at < 0 ? Optional.of(new Words.Boxed(1, Words.Lie.TOP)) : Optional.empty(), Look.PLAIN,
                at > 45 ? Optional.of(onPanel(0.1, at / 90)) : Optional.empty());
    }

    /** With seven digits after the point at most. */
    private static double length(Chance chance, double low, double high) {
        return Math.round(chance.between(low, high) * 1e7) / 1e7;
    }
}
