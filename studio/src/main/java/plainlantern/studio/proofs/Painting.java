package plainlantern.studio.proofs;

import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import plainlantern.picture.Previews;
import plainlantern.scene.Scene;
import plainlantern.studio.jobs.ShortJob;
import plainlantern.studio.sheets.CurrentSheets;
import plainlantern.studio.sheets.Damaged;
import plainlantern.studio.sheets.Opened;
import plainlantern.studio.sheets.Sheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.web.NotFound;

/** Paints what proofs show, once; as soon as there is a link, so that its first visitor does not wait. */
@Component
class Painting implements ShortJob {
    static final String NAME = "proof";
    /** What phones and screens mostly ask for. */
    private static final int[] FIRST = {960, 1600};
    private static final Logger LOG = LoggerFactory.getLogger(Painting.class);

    private final PaintedStore store;
    private final Sheets sheets;
    private final Paints paints;
    private final CurrentSheets current;

    Painting(PaintedStore store, Sheets sheets, Paints paints, CurrentSheets current) {
        this.current = current;
        this.store = store;
        this.sheets = sheets;
        this.paints = paints;
    }

    @Override
    public String name() {
        return NAME;
    }

    /** What to ask the job for. */
    static String what(UUID account, UUID sheet) {
        return account + " " + sheet;
    }

    @Override
    public void run(String what) {
        UUID account = UUID.fromString(what.substring(0, what.indexOf(' ')));
        UUID sheet = UUID.fromString(what.substring(what.indexOf(' ') + 1));
        try {
            Opened opened = sheets.open(sheet, account);
            for (int side : FIRST) painted(account, opened, side);
        } catch (NotFound | Damaged gone) {
            LOG.info("Sheet {} is not painted for its proof: {}", sheet, gone.getMessage());
        }
    }

    /** A sheet as it is, so many pixels along its longer side: JPEG, or PNG where parts of it are clear. */
    byte[] painted(UUID account, Opened opened, int side) {
        String state = current.state(opened.id());
        return store.find(opened.id(), state, side).orElseGet(() -> {
            byte[] data = Previews.light(paints.small(account, Scene.of(current.current(account, opened.sheet())), side));
            store.put(opened.id(), opened.version(), state, side, data);
            return data;
        });
    }
}
