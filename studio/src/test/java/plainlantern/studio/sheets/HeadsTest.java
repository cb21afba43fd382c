package plainlantern.studio.sheets;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import plainlantern.asking.Unit;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetText;

class HeadsTest {
    private final Heads heads = new Heads();
    private final UUID id = UUID.randomUUID();

    private static Heads.Head named(String name) {
        return new Heads.Head(Sheet.empty(name, Unit.MM, 100, 100, 300), SheetText.Elements.NONE);
    }

    @Test
    void aDocumentIsFoundUnderItsVersionAlone() {
        heads.keep(id, 3, named("Dawn"));
        assertThat(heads.find(id, 3)).contains(named("Dawn"));
        assertThat(heads.find(id, 4)).isEmpty();
        assertThat(heads.find(UUID.randomUUID(), 3)).isEmpty();
    }

    /** No more than 64 are kept; the one that was not asked for longest goes first. */
    @Test
    void theMemoryIsBounded() {
        for (int version = 0; version < 64; version++) heads.keep(id, version, named("Tide " + version));
        heads.find(id, 0);
        heads.keep(id, 64, named("Tide 64"));
        assertThat(heads.find(id, 0)).isPresent();
        assertThat(heads.find(id, 1)).isEmpty();
        assertThat(heads.find(id, 64)).isPresent();
    }

    @Test
    void whatIsRolledBackNeverWas() {
        TransactionSynchronizationManager.initSynchronization();
        try {
            heads.keepWhenDone(id, 5, named("Noon"));
            assertThat(heads.find(id, 5)).isEmpty();
            TransactionSynchronizationManager.getSynchronizations()
                    .forEach(s -> s.afterCompletion(TransactionSynchronization.STATUS_ROLLED_BACK));
            assertThat(heads.find(id, 5)).isEmpty();
            TransactionSynchronizationManager.getSynchronizations().forEach(TransactionSynchronization::afterCommit);
            assertThat(heads.find(id, 5)).contains(named("Noon"));
        } finally {
            TransactionSynchronizationManager.clearSynchronization();
        }
    }
}
