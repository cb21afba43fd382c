package plainlantern.studio.deliver;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.FileNames;
import plainlantern.scene.Extent;
import plainlantern.scene.Page;
import plainlantern.scene.Pages;
import plainlantern.sheet.Sheet;

/**
 * What is to be delivered.
 *
 * @param home     the sheet that it was asked for at
 * @param sheets   as they are delivered, that one first
 * @param selected the elements of the first sheet that were selected
 * @param called   what its file is called, where that is not the sheet's name
 */
record DeliveryOrder(UUID account, UUID home, List<Sheet> sheets, List<String> selected, Delivery delivery,
        Optional<String> called) {
    /** The same with each sheet replaced by what {@code change} makes of it. */
    DeliveryOrder showing(UnaryOperator<Sheet> change) {
        return new DeliveryOrder(account, home, sheets.stream().map(change).toList(), selected, delivery, called);
    }

    List<Page> pages() {
        List<Page> pages = new ArrayList<>();
        for (Sheet sheet : sheets) pages.addAll(Pages.of(sheet, delivery.extent(), selected, delivery.bleed()));
        return pages;
    }

    String file(List<Page> pages) {
        Sheet first = sheets.get(0);
        if (delivery.extent().apart() && pages.size() == 1)
            return FileNames.of(delivery.names(), pages).get(0) + "." + delivery.extension(1);
        String name = delivery.extent() == Extent.SELECTION ? first.name() + " " + pages.get(0).name() : delivery.extent().apart()
                ? first.name() + " panels" : first.name();
        if (called.isPresent()) return FileNames.safe(called.get()) + "." + delivery.extension(pages.size());
        return FileNames.safe(sheets.size() == 1 ? name : name + " and " + (sheets.size() - 1) + " more") + "."
                + delivery.extension(pages.size());
    }

    /** "PDF, 300 ppi, 3 pages". */
    String title(List<Page> pages) {
        String title = delivery.format().title() + ", " + Math.round(delivery.ppi()) + " ppi";
        return pages.size() == 1 ? title : title + ", " + pages.size() + (delivery.archived(pages.size()) ? " files" : " pages");
    }
}
