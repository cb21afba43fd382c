package plainlantern.studio.sheets;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetText;

/**
 * The documents that were last read or made, so that a gesture does not read the same one again and again. The database says which
 * version is the present one; a document is found only under exactly that version, so another node's edit is never missed.
 */
@Component
class Heads {
    private static final int KEPT = 64;
    /** Elements of all documents together: one of thousands of panels is not to stand beside sixty like it. */
    private static final int MOST_ELEMENTS = 30_000;

    private record Key(UUID sheet, long version) {}

    /** A document with the texts of its elements, where they were written. */
    record Head(Sheet sheet, SheetText.Elements texts) {}

    private final Map<Key, Head> kept = new LinkedHashMap<>(KEPT, 0.75f, true);
    private int elements;

    Optional<Head> find(UUID sheet, long version) {
        synchronized (kept) {
            return Optional.ofNullable(kept.get(new Key(sheet, version)));
        }
    }

    void keep(UUID sheet, long version, Head document) {
        synchronized (kept) {
            Head before = kept.put(new Key(sheet, version), document);
            elements += document.sheet().elements().size() - (before == null ? 0 : before.sheet().elements().size());
            Iterator<Head> eldest = kept.values().iterator();
            while (kept.size() > KEPT || elements > MOST_ELEMENTS && kept.size() > 1) {
                elements -= eldest.next().sheet().elements().size();
                eldest.remove();
            }
        }
    }

    /** Keeps the document once this transaction has come to be: one that is rolled back never was. */
    void keepWhenDone(UUID sheet, long version, Head document) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                keep(sheet, version, document);
            }
        });
    }
}
