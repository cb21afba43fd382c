package plainlantern.scene;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.Box;
import plainlantern.outline.Rectangle;
import plainlantern.scene.Scene.Item;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/** The pages that a sheet is handed over in. */
public final class Pages {
    private Pages() {}

    /**
     * From back to front where they are several.
     *
     * @param selected the elements that are meant; for each panel alone none means all
     * @param bleed    whether the whole sheet is painted with its bleed
     */
    public static List<Page> of(Sheet sheet, Extent extent, Collection<String> selected, boolean bleed) {
        Set<String> chosen = new HashSet<>(selected);
        if (extent == Extent.SHEET) return List.of(new Page(sheet.name(), sheet.name(), Scene.of(sheet), sheet.bounds(), bleed
                ? sheet.bleed() : 0));
        if (extent == Extent.SELECTION) return List.of(selection(sheet, chosen));
        List<Page> pages = new ArrayList<>();
        for (Holder panel : sheet.holders()) {
            boolean meant = chosen.isEmpty() || chosen.contains(panel.id());
            if (meant && panel.takesPictures() && !panel.hidden() && !panel.shown().isEmpty())
                pages.add(alone(sheet, panel, extent));
        }
        BadInput.unless(!pages.isEmpty(), "extent", "There is no panel here that shows anything.");
        return pages;
    }

    private static Page selection(Sheet sheet, Set<String> chosen) {
        Scene all = Scene.of(sheet);
        List<Item> items = all.items().stream().filter(item -> chosen.contains(item.element())).toList();
        BadInput.unless(!items.isEmpty(), "extent", chosen.isEmpty()
                ? "Nothing is selected. Select what you want to hand over, or choose the whole sheet."
                : "What is selected shows nothing yet.");
        Box box = Box.union(items.stream().map(Item::reach).toList());
        String name = items.size() == 1 ? items.get(0).name() : items.size() + " elements";
        return new Page(sheet.name(), name, new Scene(all.width(), all.height(), all.paper(), items), box, 0);
    }

    /** A panel turned upright in the sheet's corner, or where it stands; a slice becomes the picture that it looks like. */
    private static Page alone(Sheet sheet, Holder panel, Extent extent) {
        Holder own = panel.changingSlices(slice -> {
            Shown shown = Vistas.shown(sheet, panel, slice);
            return Vistas.owned(sheet, panel, slice, shown, shown.flat());
        });
        Seat seat = panel.seat();
        Holder upright = own.withSeat(extent == Extent.TURNED ? seat
                : new Seat(seat.half(), seat.width(), seat.height(), 0, seat.mirrored()));
        Box box = new Box(0, 0, seat.width(), seat.height());
        if (extent == Extent.BOXES) return page(sheet, panel, Scene.item(sheet, upright.withOutline(Rectangle.SHARP).finished(Finish.NONE)),
                box);
        Item item = Scene.item(sheet, upright).unshaded();
        return page(sheet, panel, item, item.reach());
    }

    private static Page page(Sheet sheet, Holder panel, Item item, Box trim) {
        return new Page(sheet.name(), panel.name(), new Scene(sheet.width(), sheet.height(), Optional.empty(), List.of(item)), trim, 0);
    }
}
