package plainlantern.scene;

import java.util.ArrayList;
import java.util.List;
import plainlantern.fitting.Coverage;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Path;
import plainlantern.sheet.Content;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * What is painted, from back to front, on a sheet of {@code width} by {@code height} mm.
 */
public record Scene(double width, double height, Paper paper, List<Item> items) {
    public Scene {
        items = List.copyOf(items);
    }

    /** One thing painted, with the id of the element it belongs to. */
    public sealed interface Item {
        String element();
    }

    /**
     * A picture seen through a form.
     *
     * @param clip          the form on the sheet, mm
     * @param pixelsToSheet from the upright picture's pixels to mm on the sheet
     * @param covers        whether the picture fills the whole form
     */
    public record PictureItem(String element, Path clip, String picture, int width, int height, Affine pixelsToSheet,
                              boolean covers) implements Item {}

    public static Scene of(Sheet sheet) {
        List<Item> items = new ArrayList<>();
        for (Panel panel : sheet.panels()) if (!panel.hidden()) items.addAll(items(sheet, panel));
        return new Scene(sheet.width(), sheet.height(), sheet.paper(), items);
    }

    /** What one panel paints. */
    public static List<Item> items(Sheet sheet, Panel panel) {
        List<Item> items = new ArrayList<>();
        Vistas.shown(sheet, panel).ifPresent(own -> items.add(item(sheet, panel, own)));
        return items;
    }

    private static PictureItem item(Sheet sheet, Panel panel, Content.OwnPicture own) {
        Picture picture = sheet.picture(own.picture());
        Affine pixelsToSheet = panel.seat().toSheet().after(own.placement().toPanel(picture.width(), picture.height()));
        boolean covers = Coverage.of(Sitting.of(panel, picture), own.placement()).covered();
        return new PictureItem(panel.id(), panel.pathOnSheet(), picture.id(), picture.width(), picture.height(), pixelsToSheet, covers);
    }
}
