package plainlantern.studio.deliver;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import plainlantern.asking.BadInput;
import plainlantern.bundle.Bundle;
import plainlantern.sheet.ColourTable;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.StandIn;
import plainlantern.sheet.Tones;
import plainlantern.studio.room.Work;
import plainlantern.studio.sheets.SheetKind;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.tables.ColourTables;
import plainlantern.studio.web.Busy;

/** Opens bundles in the background, all or nothing: what came in before something went wrong is taken out again. */
@Service
class BundleImports implements AutoCloseable {
    private static final int AT_ONCE = 4;
    private static final int EACH = 3;
    private static final Logger LOG = LoggerFactory.getLogger(BundleImports.class);

    private final BundleImportStore store;
    private final Pictures pictures;
    private final Sheets sheets;
    private final ColourTables tables;
    private final ExecutorService threads = Executors.newFixedThreadPool(AT_ONCE, work -> {
        Thread thread = new Thread(work, "bundle");
        thread.setDaemon(true);
        return thread;
    });

    BundleImports(BundleImportStore store, Pictures pictures, Sheets sheets, ColourTables tables) {
        this.store = store;
        this.pictures = pictures;
        this.sheets = sheets;
        this.tables = tables;
    }

    /** Takes a file over, which must be a bundle as far as that can be seen at once, and has it opened; removes it in the end. */
    UUID begin(UUID account, Path file) throws IOException {
        BadInput.unless(store.open(account) < EACH, "bundle", "There are " + EACH
                + " bundles being opened already. Let one of them end first.");
        Bundle bundle = Bundle.open(file);
        UUID id = store.add(account, "Opening " + bundle.sheet().name() + " …");
        threads.execute(() -> {
            try (bundle) {
                opened(id, account, bundle);
            } catch (BadInput | Busy problem) {
                store.failed(id, problem.getMessage());
            } catch (IOException | RuntimeException | OutOfMemoryError problem) {
                LOG.warn("Bundle {} was not opened", id, problem);
                store.failed(id, "Something went wrong on the server. Nothing of the bundle was stored.");
            } finally {
                removed(file);
            }
        });
        return id;
    }

    private void opened(UUID id, UUID account, Bundle bundle) throws IOException {
        List<Picture> shelf = bundle.sheet().shelf();
        List<String> fresh = new ArrayList<>();
        boolean whole = false;
        try {
            for (int i = 0; i < shelf.size(); i++) {
                store.told(id, (double) i / shelf.size(), "Picture " + (i + 1) + " of " + shelf.size() + " …");
                if (bring(account, bundle, shelf.get(i))) fresh.add(shelf.get(i).id());
            }
            for (ColourTable table : Tones.tables(bundle.sheet())) tables.add(account, table.name() + ".cube", bundle.table(table.id()));
            store.done(id, sheets.addAll(account, List.of(bundle.sheet()), "Open bundle", kind(bundle.sheet()), ids -> true).get(0));
            whole = true;
        } finally {
            if (!whole) pictures.remove(account, fresh);
        }
    }

    /** One in which stand-ins wait for pictures is a template. */
    private static SheetKind kind(Sheet sheet) {
        return sheet.shelf().stream().anyMatch(picture -> StandIn.is(picture.id())) ? SheetKind.TEMPLATE : SheetKind.SHEET;
    }

    /** Returns whether the account did not have it before. */
    private boolean bring(UUID account, Bundle bundle, Picture picture) throws IOException {
        if (pictures.has(account, picture)) return false;
        return Work.during("bundled", file -> {
            bundle.extract(picture, file);
            Picture own = pictures.add(account, picture.name().replace('.', ' '), file);
            if (own.width() == picture.width() && own.height() == picture.height()) return true;
            pictures.remove(account, List.of(picture.id()));
            throw new BadInput("bundle", "The document gives " + picture.name() + " another size than its file has.");
        });
    }

    private static void removed(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            LOG.warn("{} stays until the next start", file, e);
        }
    }

    @Override
    public void close() {
        threads.shutdownNow();
    }
}
