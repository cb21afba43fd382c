package plainlantern.studio.sheets;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import plainlantern.checking.Report;
import plainlantern.checking.Weight;
import plainlantern.picture.Previews;
import plainlantern.scene.Scene;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.jobs.ShortJobs;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Telling;
import plainlantern.studio.web.Busy;
import plainlantern.studio.web.NotFound;

/** Paints the sheets of My sheets small, in the background, once for each version that is looked at. */
@Component
public class Thumbnails implements ShortJob {
    private static final String NAME = "thumbnail";
    /** A thumbnail's longer side in pixels: the card's, twice, for dense screens. */
    private static final double SIDE = 560;
    /** The same of a sheet of a series, whose cards are smaller. */
    private static final double SERIES_SIDE = 400;
    private static final Logger LOG = LoggerFactory.getLogger(Thumbnails.class);

    private final Sheets sheets;
    private final SheetStore rows;
    private final ThumbnailStore store;
    private final Paints paints;
    private final Telling telling;
    private final CurrentSheets current;

    Thumbnails(Sheets sheets, SheetStore rows, ThumbnailStore store, Paints paints, Telling telling, CurrentSheets current) {
        this.current = current;
        this.sheets = sheets;
        this.rows = rows;
        this.store = store;
        this.paints = paints;
        this.telling = telling;
    }

    /** Has those of the cards drawn that are not. */
    public static void draw(Collection<Card> cards, ShortJobs jobs) {
        draw(cards.stream().filter(card -> !card.drawn() && !card.damaged() && card.awayAt() == null).map(Card::id).toList(), jobs);
    }

    /** Has those sheets drawn. */
    public static void draw(List<UUID> sheets, ShortJobs jobs) {
        jobs.addAll(NAME, sheets.stream().map(UUID::toString).toList());
    }

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public void run(String what) {
        UUID id = UUID.fromString(what);
        rows.owner(id).ifPresent(account -> paint(id, account));
    }

    private void paint(UUID id, UUID account) {
        try {
            String state = current.state(id);
            Opened opened = sheets.open(id, account);
            if (store.has(id, state)) return;
            boolean inSeries = rows.inSeries(id);
            byte[] painted = painted(opened, account, inSeries ? SERIES_SIDE : SIDE);
            store.put(id, opened.version(), state, painted, inSeries ? found(opened, account) : Optional.empty());
        } catch (NotFound | Damaged gone) {
            LOG.info("Sheet {} has no thumbnail: {}", id, gone.getMessage());
        }
    }

    /** Null where it cannot be painted, so that it is not tried for ever. */
    private byte[] painted(Opened opened, UUID account, double side) {
        try {
            return Previews.light(paints.small(account, Scene.of(current.current(account, opened.sheet())), side));
        } catch (Busy busy) {
            throw busy;
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.warn("Sheet {} cannot be painted small", opened.id(), e);
            return null;
        }
    }

    /** Empty where it cannot be looked at. */
    private Optional<ThumbnailStore.Found> found(Opened opened, UUID account) {
        try {
            Report report = Report.found(opened.sheet(), telling.of(account, opened.sheet()));
            return Optional.of(new ThumbnailStore.Found((int) report.count(Weight.FAULT), (int) report.count(Weight.WARNING)));
        } catch (Busy busy) {
            throw busy;
        } catch (RuntimeException e) {
            LOG.warn("Sheet {} cannot be checked", opened.id(), e);
            return Optional.empty();
        }
    }

    /** The thumbnail of a version. */
    Optional<byte[]> find(UUID id, UUID account, long version) {
        return store.find(id, account, version);
    }

    /** Those of the sheets whose thumbnail there is. */
    List<Card> drawn(UUID account, List<UUID> ids) {
        return rows.cards(account, ids).stream().filter(card -> card.drawn() || card.damaged()).toList();
    }
}
