package plainlantern.studio.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import plainlantern.editing.AddPanel;
import plainlantern.editing.Cut;
import plainlantern.editing.Edit;
import plainlantern.editing.FillPanels;
import plainlantern.editing.LayOut;
import plainlantern.editing.Loosen;
import plainlantern.editing.MakeVista;
import plainlantern.editing.MovePicture;
import plainlantern.editing.Rename;
import plainlantern.editing.SeatPanels;
import plainlantern.editing.SetPaper;
import plainlantern.editing.ShelvePictures;
import plainlantern.editing.ZoomPicture;
import plainlantern.geometry.Unit;
import plainlantern.outline.Ellipse;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.pattern.EvenGrid;
import plainlantern.pattern.Honeycomb;
import plainlantern.pattern.Interlock;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Polyptych;
import plainlantern.pattern.StepAndRepeat;
import plainlantern.sheet.Colour;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** The finished sheets of the demo, as the edits that lead to them. */
final class DemoSheets {
    /** One edit, made when the sheet and the shelf's pictures by name are known. */
    interface Step {
        Edit edit(Sheet sheet, Map<String, Picture> shelf);
    }

    /** A sheet from empty to finished. */
    record Plan(Sheet empty, List<Step> steps) {}

    private static final List<String> MORNINGS = List.of("Dawn over the bay", "Mist on the reeds", "First boat out", "Square tide",
            "The wheel", "Tide mill at noon", "Frost on the ridges", "Blue hour", "The hide");
    private static final List<String> CARD = List.of("Long evening", "Geese going home", "Moon tide", "Low water");
    private static final List<String> EXTRA = List.of("Heron", "Mill wheel");

    private static final List<String> EVERYTHING = Stream.of(MORNINGS, CARD, EXTRA).flatMap(List::stream).toList();
    private static final Margins NARROW = new Margins(12, 12, 12, 12);

    static final List<Plan> ALL = List.of(badges(), joiner(), poster(), puzzle(), honeycomb(), postcard(), triptych(), mornings());

    private DemoSheets() {}

    private static Plan mornings() {
        List<Step> steps = new ArrayList<>();
        steps.add(shelve(EVERYTHING));
        steps.add((sheet, shelf) -> LayOut.replacing(new EvenGrid(3, 3, 6, 6), new Margins(20, 20, 20, 20)));
        for (int i = 0; i < MORNINGS.size(); i++) {
            String name = MORNINGS.get(i);
            int at = i;
            steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(name).id()));
            steps.add((sheet, shelf) -> new Rename(id(sheet, at), name));
        }
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 0)), 118, OptionalDouble.of(20), OptionalDouble.of(0), false));
        steps.add((sheet, shelf) -> new MovePicture(List.of(id(sheet, 1)), 0, -24, false));
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 5)), 125, OptionalDouble.of(0), OptionalDouble.of(0), false));
        steps.add((sheet, shelf) -> new MovePicture(List.of(id(sheet, 7)), 0, -30, false));
        return new Plan(Sheet.empty("Nine mornings", Unit.MM, 420, 297, 300), steps);
    }

    private static Plan postcard() {
        List<Step> steps = new ArrayList<>();
        steps.add(shelve(CARD));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Plain(Colour.of("#F4EBDD"))));
        panel(steps, 0, "Long evening", Rectangle.SHARP, 6, 6, 136, 50);
        panel(steps, 1, "Geese going home", new Rectangle(0, 0, 0, 8), 6, 59, 43, 40);
        panel(steps, 2, "Moon tide", new Ellipse(), 54, 59, 40, 40);
        panel(steps, 3, "Low water", new Rectangle(0, 0, 8, 0), 99, 59, 43, 40);
        return new Plan(Sheet.empty("Season postcard", Unit.MM, 148, 105, 300), steps);
    }

    private static Plan triptych() {
        List<Step> steps = new ArrayList<>(List.of(shelve(CARD), lay(new Polyptych(List.of(1.0, 1.4, 1.0), 6, 8, true), new Margins(48, 13, 48, 13))));
        steps.add((sheet, shelf) -> new MakeVista(ids(sheet), shelf.get("Long evening").id()));
        steps.add((sheet, shelf) -> new MovePicture(ids(sheet), 90, 0, true));
        for (String name : List.of("Left", "Centre", "Right")) {
            int at = List.of("Left", "Centre", "Right").indexOf(name);
            steps.add((sheet, shelf) -> new Rename(id(sheet, at), name));
        }
        return new Plan(Sheet.empty("Tide triptych", Unit.MM, 420, 297, 300), steps);
    }

    private static Plan honeycomb() {
        List<String> names = List.of("Dawn over the bay", "Mist on the reeds", "First boat out", "Square tide", "The wheel", "Tide mill at noon",
                "Frost on the ridges", "Blue hour", "The hide", "Long evening", "Moon tide", "Low water", "Geese going home");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), lay(new Honeycomb(4, 3, 4, false), new Margins(14, 14, 14, 14))));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Plain(Colour.of("#22303A"))));
        fill(steps, names, 12);
        return new Plan(Sheet.empty("Bird hide wall", Unit.MM, 297, 297, 300), steps);
    }

    private static Plan puzzle() {
        List<Step> steps = new ArrayList<>(List.of(shelve(EVERYTHING), lay(new Interlock(3, 4, 0.21, 7), NARROW)));
        fill(steps, EVERYTHING, 12);
        return new Plan(Sheet.empty("Mill puzzle", Unit.MM, 297, 210, 300), steps);
    }

    /** Three-quarter inch at 300 ppi is 225 px; on a card of 1748 by 1240 px (A6) with gaps of 36 px, 24 fit. */
    private static Plan badges() {
        List<String> names = List.of("Heron", "Square tide", "Mill wheel", "The hide", "Geese going home", "Moon tide");
        double px = Unit.PX.inMm(300);
        List<Step> steps = new ArrayList<>(List.of(shelve(names),
                lay(new StepAndRepeat(225 * px, 225 * px, 36 * px, 36 * px, true), new Margins(59 * px, 59 * px, 59 * px, 59 * px))));
        fill(steps, names, 24);
        return new Plan(Sheet.empty("Warden badges", Unit.PX, 1748 * px, 1240 * px, 300), steps);
    }

    /** One panel as large as the margins, cut three times. */
    private static Plan poster() {
        List<String> names = List.of("Low water", "Tide mill at noon", "Geese going home", "Blue hour", "First boat out", "The wheel", "Long evening");
        List<Step> steps = new ArrayList<>(List.of(shelve(names), lay(new EvenGrid(1, 1, 0, 0), NARROW)));
        steps.add((sheet, shelf) -> new Cut(0, 310, 297, 130, 5, List.of()));
        steps.add((sheet, shelf) -> new Cut(0, 90, 297, 330, 5, List.of()));
        steps.add((sheet, shelf) -> new Cut(25, 0, 135, 420, 5, List.of()));
        fill(steps, names, 7);
        return new Plan(Sheet.empty("Open day poster", Unit.MM, 297, 420, 300), steps);
    }

    /** Sixty looks at one picture, each a little off, as if photographed one by one. */
    private static Plan joiner() {
        List<Step> steps = new ArrayList<>(List.of(shelve(List.of("Tide mill at noon")), lay(new EvenGrid(6, 10, 0, 0), NARROW)));
        steps.add((sheet, shelf) -> new MakeVista(ids(sheet), shelf.get("Tide mill at noon").id()));
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 0)), 122, OptionalDouble.empty(), OptionalDouble.empty(), true));
        steps.add((sheet, shelf) -> new Loosen(ids(sheet), 1.8, 0.14, 3.5, 6));
        return new Plan(Sheet.empty("Sixty looks at the mill", Unit.MM, 210, 148, 300), steps);
    }

    private static List<String> ids(Sheet sheet) {
        return sheet.panels().stream().map(Panel::id).toList();
    }

    private static Step shelve(List<String> names) {
        return (sheet, shelf) -> new ShelvePictures(names.stream().map(shelf::get).toList());
    }

    private static Step lay(Pattern pattern, Margins margins) {
        return (sheet, shelf) -> LayOut.replacing(pattern, margins);
    }

    /** Fills that many panels with the pictures in turn. */
    private static void fill(List<Step> steps, List<String> names, int count) {
        for (int i = 0; i < count; i++) {
            String name = names.get(i % names.size());
            int at = i;
            steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(name).id()));
        }
    }

    private static void panel(List<Step> steps, int at, String picture, Outline outline,
                              double left, double top, double width, double height) {
        steps.add((sheet, shelf) -> new AddPanel(outline));
        steps.add((sheet, shelf) -> new SeatPanels(List.of(id(sheet, at)), OptionalDouble.of(left), OptionalDouble.of(top),
                OptionalDouble.of(width), OptionalDouble.of(height), OptionalDouble.empty()));
        steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(picture).id()));
        steps.add((sheet, shelf) -> new Rename(id(sheet, at), picture));
    }

    private static String id(Sheet sheet, int at) {
        return sheet.elements().get(at).id();
    }
}
