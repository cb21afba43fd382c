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
import plainlantern.studio.sheets.CurrentSheets;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Pictures;

/**
 * Sheets as pictures in other sheets. One is drawn on its paper, at its own ppi as far as that stays within limits, and becomes a
 * picture of
 * the account like any other; what is known beside is which sheet it came from. When that sheet was changed it is drawn anew.
 */
@Service
public class NestedSheets implements CurrentSheets {
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
        return drawn(account, source, opened.sheet().name(), Set.of(into));
    }

    @Override
    public Sheet current(UUID account, Sheet sheet) {
        return current(account, sheet, Set.of());
    }

    @Override
    public boolean nests(UUID account, Sheet sheet) {
        return !linked(account, sheet).isEmpty();
    }

    @Override
    public String state(UUID id) {
        return store.state(id);
    }

    /** @param outer the sheets that this one is shown in: a circle, which a copy may have made, ends there */
    private Sheet current(UUID account, Sheet sheet, Set<UUID> outer) {
        Sheet now = sheet;
        for (NestedStore.Row row : linked(account, sheet)) {
            if (row.fresh() || outer.contains(row.sheet())) continue;
            Picture newest = drawn(account, row.sheet(), row.name(), outer);
            if (!newest.id().equals(row.picture())) now = new FreshenPicture(row.picture(), newest).apply(now);
        }
        return now;
    }

    /** The newest drawing of a sheet, painted if there is none of just what it shows now. */
    private Picture drawn(UUID account, UUID source, String name, Set<UUID> outer) {
        // Asked before the sheet is opened: should it change in between, the drawing counts as old and is made once more.
        String state = store.state(source);
        Optional<String> known = store.drawn(account, source, state);
        if (known.isPresent()) return pictures.owned(account, Map.of(known.get(), name)).get(0);
        Opened opened = sheets.open(source, account);
        Set<UUID> path = new HashSet<>(outer);
        path.add(source);
        Sheet sheet = current(account, opened.sheet(), path);
        double ppi = Math.min(sheet.ppi(), Unit.MM_PER_INCH * Math.min(LONGEST / Math.max(sheet.width(), sheet.height()),
                Math.sqrt(MOST_PIXELS / sheet.width() / sheet.height())));
        int[] size = RasterPainter.size(sheet.width(), sheet.height(), Math.max(1, ppi));
        BufferedImage image = paints.pixels(account, Scene.of(sheet), Math.max(1, ppi), 0, 0, size[0], size[1]);
        // A picture is known by its bytes: with the sheet's id in them, sheets that paint the same pixels never share one.
        Picture picture = pictures.add(account, sheet.name() + ".png", Encoder.png(image, ppi, "Drawn from the sheet " + source));
        store.put(account, picture.id(), source, opened.version(), state);
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
     * Whether a sheet shows drawings that are older than what they were drawn from, at any depth, and that are to be drawn anew: not while
     * somebody goes back and forth in its history, and none that would go round in a circle.
     */
    public boolean stale(UUID account, Opened opened) {
        return opened.redo().isEmpty() && linked(account, opened.sheet()).stream()
                .anyMatch(row -> !row.fresh() && !within(account, row.sheet()).contains(opened.id()));
    }

    /** Whether one of those was left alone for a moment, so that it is worth while to draw it. */
    boolean rested(UUID account, Opened opened) {
        return linked(account, opened.sheet()).stream().anyMatch(row -> !row.fresh() && row.rested());
    }

    /** Draws anew what a sheet shows of others, as these are now, and changes its document accordingly. */
    void freshen(UUID account, UUID id) {
        Opened opened = sheets.open(id, account);
        for (NestedStore.Row row : linked(account, opened.sheet())) {
            // Brought by way of a copy, a circle may be there; it is left as it is.
            if (row.fresh() || within(account, row.sheet()).contains(id)) continue;
            Picture now = drawn(account, row.sheet(), row.name(), Set.of(id));
            if (!now.id().equals(row.picture()))
                sheets.apply(id, account, sheet -> new FreshenPicture(row.picture(), now));
        }
    }
}
