package plainlantern.studio.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import plainlantern.editing.AddPanel;
import plainlantern.editing.Edit;
import plainlantern.editing.FillPanels;
import plainlantern.editing.LayOut;
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
import plainlantern.sheet.Colour;
import plainlantern.sheet.Margins;
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

    static final List<Plan> ALL = List.of(postcard(), mornings());

    private DemoSheets() {}

    private static Plan mornings() {
        List<Step> steps = new ArrayList<>();
        List<String> all = new ArrayList<>(MORNINGS);
        all.addAll(CARD);
        all.addAll(EXTRA);
        steps.add((sheet, shelf) -> new ShelvePictures(all.stream().map(shelf::get).toList()));
        steps.add((sheet, shelf) -> LayOut.replacing(new EvenGrid(3, 3, 6, 6), new Margins(20, 20, 20, 20)));
        for (int i = 0; i < MORNINGS.size(); i++) {
            String name = MORNINGS.get(i);
            int at = i;
            steps.add((sheet, shelf) -> new FillPanels(List.of(id(sheet, at)), shelf.get(name).id()));
            steps.add((sheet, shelf) -> new Rename(id(sheet, at), name));
        }
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 0)), 118, OptionalDouble.of(20), OptionalDouble.of(0)));
        steps.add((sheet, shelf) -> new MovePicture(List.of(id(sheet, 1)), 0, -24));
        steps.add((sheet, shelf) -> new ZoomPicture(List.of(id(sheet, 5)), 125, OptionalDouble.of(0), OptionalDouble.of(0)));
        steps.add((sheet, shelf) -> new MovePicture(List.of(id(sheet, 7)), 0, -30));
        return new Plan(Sheet.empty("Nine mornings", Unit.MM, 420, 297, 300), steps);
    }

    private static Plan postcard() {
        List<Step> steps = new ArrayList<>();
        steps.add((sheet, shelf) -> new ShelvePictures(CARD.stream().map(shelf::get).toList()));
        steps.add((sheet, shelf) -> new SetPaper(new Paper.Plain(Colour.of("#F4EBDD"))));
        panel(steps, 0, "Long evening", Rectangle.SHARP, 6, 6, 136, 50);
        panel(steps, 1, "Geese going home", new Rectangle(0, 0, 0, 8), 6, 59, 43, 40);
        panel(steps, 2, "Moon tide", new Ellipse(), 54, 59, 40, 40);
        panel(steps, 3, "Low water", new Rectangle(0, 0, 8, 0), 99, 59, 43, 40);
        return new Plan(Sheet.empty("Season postcard", Unit.MM, 148, 105, 300), steps);
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
