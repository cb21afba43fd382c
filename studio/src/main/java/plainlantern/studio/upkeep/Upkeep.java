package plainlantern.studio.upkeep;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import plainlantern.studio.account.TriesStore;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.sheets.Sheets;

/** Removes, every hour and when an account is erased, what is over. */
@Component
class Upkeep implements ShortJob {
    /** A picture is put on a sheet's shelf at once; one that was not, or whose last sheet is gone, goes after this time. */
    private static final Duration UNUSED = Duration.ofDays(1);
    private static final int PIECE = 20;

    private final UpkeepStore store;
    private final TriesStore tries;

    Upkeep(UpkeepStore store, TriesStore tries) {
        this.store = store;
        this.tries = tries;
    }

    @Override
    public String name() {
        return "upkeep";
    }

    @Override
    public Optional<Duration> every() {
        return Optional.of(Duration.ofHours(1));
    }

    @Override
    public void run(String what) {
        for (List<UUID> over = store.sheets(Sheets.AWAY, PIECE); !over.isEmpty(); over = store.sheets(Sheets.AWAY, PIECE)) {
            for (UUID sheet : over) store.removeSheet(sheet, Sheets.AWAY);
        }
        store.disown(UNUSED);
        while (store.removePictures(PIECE) > 0) continue;
        store.removeAccounts();
        store.removeEdits();
        tries.tidy();
    }
}
