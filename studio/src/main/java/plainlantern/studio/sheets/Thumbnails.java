package plainlantern.studio.sheets;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import plainlantern.picture.Encoder;
import plainlantern.scene.Scene;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.web.Busy;
import plainlantern.studio.web.NotFound;

/** Paints the sheets of My sheets small, in the background, once for each version that is looked at. */
@Component
class Thumbnails implements ShortJob {
    static final String NAME = "thumbnail";
    /** A thumbnail's longer side in pixels: the card's, twice, for dense screens. */
    private static final double SIDE = 560;
    private static final Logger LOG = LoggerFactory.getLogger(Thumbnails.class);

    private final Sheets sheets;
    private final SheetStore rows;
    private final ThumbnailStore store;
    private final Paints paints;

    Thumbnails(Sheets sheets, SheetStore rows, ThumbnailStore store, Paints paints) {
        this.sheets = sheets;
        this.rows = rows;
        this.store = store;
        this.paints = paints;
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
            Opened opened = sheets.open(id, account);
            if (!store.has(id, opened.version())) store.put(id, opened.version(), painted(opened, account));
        } catch (NotFound | Damaged gone) {
            LOG.info("Sheet {} has no thumbnail: {}", id, gone.getMessage());
        }
    }

    /** Null where it cannot be painted, so that it is not tried for ever. */
    private byte[] painted(Opened opened, UUID account) {
        try {
            return Encoder.png(paints.small(account, Scene.of(opened.sheet()), SIDE), 96);
        } catch (Busy busy) {
            throw busy;
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.warn("Sheet {} cannot be painted small", opened.id(), e);
            return null;
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
