package plainlantern.fitting;

import java.util.Collection;
import java.util.List;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;

/**
 * The photograph that something is seen in, as it lies on the sheet, all of it.
 *
 * @param middle   where the camera looked, mm on the sheet
 * @param diagonal mm
 */
public record Onlook(Point middle, double diagonal) {
    /** What lies foremost at a place, but for some elements; the sheet itself where no picture does. */
    public static Onlook at(Sheet sheet, Point place, Collection<String> but) {
        List<Element> elements = sheet.elements();
        for (int i = elements.size() - 1; i >= 0; i--) {
            Element element = elements.get(i);
            if (element.hidden() || but.contains(element.id()) || element.holder().isEmpty()) continue;
            Holder holder = element.holder().get();
            if (holder.picture(-1).isEmpty() || !Polygons.contains(holder.pathOnSheet(), place)) continue;
            PictureLayer layer = holder.picture(-1).get();
            Shown shown = Vistas.shown(sheet, holder, layer);
            if (shown.plane().isEmpty()) return of(shown.picture(), holder.seat().toSheet().after(
                    shown.pose().toPanel(shown.picture().width(), shown.picture().height())));
        }
        Box box = sheet.bounds().grown(sheet.bleed());
        return sheet.paper().pictured().map(Paper.Pictured::picture).map(sheet::picture).map(picture -> {
            double scale = Math.max(box.width() / picture.width(), box.height() / picture.height());
            return new Onlook(box.centre(), scale * Math.hypot(picture.width(), picture.height()));
        }).orElseGet(() -> new Onlook(box.centre(), Math.hypot(box.width(), box.height())));
    }

    private static Onlook of(Picture picture, Affine map) {
        return new Onlook(map.apply(new Point(picture.width() / 2.0, picture.height() / 2.0)),
                Math.hypot(picture.width() * map.xScale(), picture.height() * map.yScale()));
    }
}
