package plainlantern.studio.board;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/**
 * A picture on the shelf.
 *
 * @param uses in how many layers of panels it is seen, and on the paper
 */
public record ShelfCard(Picture picture, int uses) {
    static List<ShelfCard> all(Sheet sheet) {
        Map<String, Integer> uses = new HashMap<>();
        for (Holder holder : sheet.holders()) {
            for (PictureLayer layer : holder.pictures()) uses.merge(sheet.pictureOf(layer), 1, Integer::sum);
        }
        sheet.paper().pictured().ifPresent(paper -> uses.merge(paper.picture(), 1, Integer::sum));
        return sheet.shelf().stream().map(p -> new ShelfCard(p, uses.getOrDefault(p.id(), 0))).toList();
    }

    /** Uses by picture, as JSON. */
    static String uses(List<ShelfCard> cards) {
        Map<String, Integer> uses = new HashMap<>();
        for (ShelfCard card : cards) uses.put(card.picture.id(), card.uses);
        return SheetJson.MAPPER.writeValueAsString(uses);
    }

    /** "6000 × 4000, 3:2" */
    public String size() {
        return picture.width() + " \u00d7 " + picture.height() + ", " + aspect(picture.width(), picture.height());
    }

    /** The share of the sides in small whole numbers where it is within half a percent of them, else against one. */
    static String aspect(int width, int height) {
        double share = (double) width / height;
        for (int down = 1; down <= 10; down++) {
            long across = Math.round(share * down);
            if (across > 0 && across <= 21 && Math.abs(share * down / across - 1) < 0.005) return across + ":" + down;
        }
        return share >= 1 ? String.format(Locale.ROOT, "%.2f:1", share) : String.format(Locale.ROOT, "1:%.2f", 1 / share);
    }
}
