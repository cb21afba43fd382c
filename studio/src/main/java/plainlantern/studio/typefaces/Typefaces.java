package plainlantern.studio.typefaces;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import plainlantern.lettering.Face;
import plainlantern.lettering.FontFile;
import plainlantern.picture.Sha256;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.web.NotFound;

/** The typefaces of accounts. What a file was read to is kept for the next edit; whose it is, is asked each time. */
@Service
public class Typefaces {
    private static final int MOST_KEPT = 16;

    private final TypefaceStore store;
    private final Quotas quotas;
    private final Map<String, Face> read = Collections.synchronizedMap(new LinkedHashMap<>(MOST_KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Face> eldest) {
            return size() > MOST_KEPT;
        }
    });

    Typefaces(TypefaceStore store, Quotas quotas) {
        this.store = store;
        this.quotas = quotas;
    }

    /**
     * Takes a font file in; one that is there already stays the one.
     *
     * @throws plainlantern.asking.BadInput where it is none that can be used, or there is no room for it
     */
    TypefaceRow add(UUID account, byte[] file) {
        String id = Sha256.of(file);
        List<TypefaceRow> there = store.all(account);
        Optional<TypefaceRow> same = there.stream().filter(row -> row.id().equals(id)).findFirst();
        if (same.isPresent()) return same.get();
        quotas.typefaces(there.size());
        FontFile font = FontFile.read(file);
        TypefaceRow row = new TypefaceRow(id, font.family(), font.style(), font.weight(), font.within().says());
        store.add(account, row, file);
        return row;
    }

    List<TypefaceRow> all(UUID account) {
        return store.all(account);
    }

    void remove(UUID account, String id) {
        if (!store.remove(account, id)) throw new NotFound();
    }

    /** The face that an account brought under that id; empty where it has none. */
    public Optional<Face> face(UUID account, String id) {
        if (id.isEmpty()) return Optional.empty();
        return store.file(account, id).map(file -> read.computeIfAbsent(id, any -> read(file)));
    }

    private static Face read(byte[] file) {
        try {
            return Face.read(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
