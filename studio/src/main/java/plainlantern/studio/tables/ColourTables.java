package plainlantern.studio.tables;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import plainlantern.picture.Sha256;
import plainlantern.rendering.FileNames;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.web.NotFound;
import plainlantern.treating.ColourMap;
import plainlantern.treating.CubeFile;
import plainlantern.treating.Recent;

/** The tables of colours of accounts. What a file was read to is kept for the next painting; whose it is, is asked each time. */
@Service
public class ColourTables {
    private static final int MOST_KEPT = 16;
    private static final int LONGEST = 120;

    private final TableStore store;
    private final Quotas quotas;
    private final Recent<String, ColourMap> read = new Recent<>(MOST_KEPT);

    ColourTables(TableStore store, Quotas quotas) {
        this.store = store;
        this.quotas = quotas;
    }

    /**
     * Takes a file in; one that is there already stays the one.
     *
     * @throws plainlantern.asking.BadInput where it is no table of colours, or there is no room for it
     */
    public TableRow add(UUID account, String fileName, byte[] file) {
        String id = Sha256.of(file);
        if (store.name(account, id).isEmpty()) quotas.tables(store.count(account));
        CubeFile.read(fileName, file);
        TableRow row = new TableRow(id, FileNames.bare(fileName, "Colour table", LONGEST));
        store.add(account, row, file);
        return new TableRow(id, store.name(account, id).orElse(row.name()));
    }

    public List<TableRow> all(UUID account) {
        return store.all(account);
    }

    /** Takes it off the list; sheets that use it go on with it. */
    public void remove(UUID account, String id) {
        if (!store.unlist(account, id)) throw new NotFound();
    }

    /** What the table is called that an account brought under that id; empty where it has none. */
    public Optional<String> name(UUID account, String id) {
        return store.name(account, id);
    }

    public Optional<byte[]> file(UUID account, String id) {
        return store.file(account, id);
    }

    /** The table that an account brought under that id; empty where it has none. */
    public Optional<ColourMap> map(UUID account, String id) {
        return store.name(account, id).map(name -> read.get(id, () -> CubeFile.read(name, store.file(account, id).orElseThrow())));
    }
}
