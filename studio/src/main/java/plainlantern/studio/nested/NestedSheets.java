package plainlantern.studio.nested;

import java.awt.image.BufferedImage;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.editing.filling.FreshenPicture;
import plainlantern.picture.Encoder;
import plainlantern.rendering.RasterPainter;
import plainlantern.scene.Scene;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;

/**
 * Sheets as pictures in other sheets. One is drawn on its paper, at its own ppi as far as that stays within limits, and becomes a
 * picture of
 * the account like any other; what is known beside is which sheet it came from. When that sheet was changed it is drawn anew.
 */
@Service
public class NestedSheets {
    private static final double LONGEST = 6000;
    private static final double MOST_PIXELS = 24e6;

    private final NestedStore store;
    private final Sheets sheets;
    private final Paints paints;
    private final Pictures pictures;

    NestedSheets(NestedStore store, Sheets sheets, Paints paints, Pictures pictures) {
        this.store = store;
        this.sheets = sheets;
        this.paints = paints;
        this.pictures = pictures;
    }

    /** The sheet that a picture is drawn from, by its name, where there is one. */
    public Optional<String> from(UUID account, String picture) {
        return store.of(account, List.of(picture)).stream().map(NestedStore.Row::name).findFirst();
    }

    /** From now on the picture stays as it is. */
    void settle(UUID account, String picture) {
        store.forget(account, picture);
    }

    /** Draws a sheet as a picture for another one; refuses one that shows that other one itself. */
    Picture bring(UUID account, UUID into, UUID source) {
        Opened opened = sheets.open(source, account);
        BadInput.unless(!within(account, source).contains(into), "sheet", "\u201c" + opened.sheet().name()
                + "\u201d shows this sheet itself, or another one that does: that would go round in a circle.");
        freshen(account, source);
        return drawn(account, sheets.open(source, account));
    }

    private Picture drawn(UUID account, Opened opened) {
        Sheet sheet = opened.sheet();
        double ppi = Math.min(sheet.ppi(), Unit.MM_PER_INCH * Math.min(LONGEST / Math.max(sheet.width(), sheet.height()),
                Math.sqrt(MOST_PIXELS / sheet.width() / sheet.height())));
        int[] size = RasterPainter.size(sheet.width(), sheet.height(), Math.max(1, ppi));
        BufferedImage image = paints.pixels(account, Scene.of(sheet), Math.max(1, ppi), 0, 0, size[0], size[1]);
        Picture picture = pictures.add(account, sheet.name() + ".png", Encoder.png(image, ppi));
        store.put(account, picture.id(), opened.id(), opened.version());
        return picture;
    }

    /** A sheet, those whose drawings it has on its shelf, those that they have, and so on. */
    private Set<UUID> within(UUID account, UUID sheet) {
        Set<UUID> seen = new HashSet<>();
        List<UUID> next = List.of(sheet);
        while (!next.isEmpty()) {
            next = next.stream().filter(seen::add).flatMap(id -> linked(account, sheets.open(id, account).sheet()).stream())
                    .map(NestedStore.Row::sheet).toList();
        }
        return seen;
    }

    private List<NestedStore.Row> linked(UUID account, Sheet sheet) {
        return store.of(account, sheet.shelf().stream().map(Picture::id).toList());
    }

    /**
     * Whether a sheet shows drawings that are older than what they were drawn from. While somebody goes back and forth in its history
     * none of them is.
     */
    boolean stale(UUID account, Opened opened) {
        return opened.redo().isEmpty() && linked(account, opened.sheet()).stream().anyMatch(row -> row.rested() && old(account, row));
    }

    private boolean old(UUID account, NestedStore.Row row) {
        return store.newest(account, row.sheet()).filter(n -> n.version() == row.now() && n.picture().equals(row.picture())).isEmpty();
    }

    /** Draws anew what a sheet shows of others, and first of all what these show. */
    void freshen(UUID account, UUID id) {
        Opened opened = sheets.open(id, account);
        for (NestedStore.Row row : linked(account, opened.sheet())) {
            // Brought by way of a copy, a circle may be there; it is left as it is.
            if (!old(account, row) || within(account, row.sheet()).contains(id)) continue;
            freshen(account, row.sheet());
            Opened source = sheets.open(row.sheet(), account);
            NestedStore.Row newest = store.newest(account, row.sheet()).orElse(row);
            Picture now = newest.version() == source.version()
                    ? pictures.owned(account, Map.of(newest.picture(), row.name())).get(0) : drawn(account, source);
            if (!now.id().equals(row.picture()))
                sheets.apply(id, account, sheet -> new FreshenPicture(row.picture(), now));
        }
    }
}
