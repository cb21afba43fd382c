package plainlantern.studio.deliver;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.geometry.BadInput;
import plainlantern.rendering.Progress;
import plainlantern.scene.Page;
import plainlantern.studio.shelf.Pictures;

/** Deliveries: ordered, painted one after the other, kept for a while. */
@Service
class Deliveries {
    /** How long finished files stay. */
    static final Duration KEPT = Duration.ofDays(7);
    private static final int MOST_OPEN = 40;
    private static final int TRIES = 2;
    /** Megapixels that are painted at once on this node; a single larger page takes all. */
    private static final int ROOM = 100;
    private static final long TELLING_NANOS = 250_000_000;
    private static final Logger LOG = LoggerFactory.getLogger(Deliveries.class);

    private final DeliveryStore store;
    private final Pictures pictures;
    private final TransactionTemplate transaction;
    private final Semaphore room = new Semaphore(ROOM, true);

    Deliveries(DeliveryStore store, Pictures pictures, TransactionTemplate transaction) {
        this.store = store;
        this.pictures = pictures;
        this.transaction = transaction;
    }

    /** Takes an order that can be carried out; throws {@link BadInput} for another. */
    UUID add(DeliveryOrder order) {
        List<Page> pages = order.pages();
        order.delivery().check(pages);
        BadInput.unless(store.open(order.account()) < MOST_OPEN, "", "There are " + MOST_OPEN
                + " files waiting already. Let them end first.");
        return store.add(order, pages);
    }

    /**
     * Paints a delivery to its end. One that somebody stopped stays so. What went wrong on this machine is thrown, so that it is tried once
     * more; what is wrong with the order is told at once.
     */
    void paint(UUID id) {
        int tries = store.begin(id).orElse(0);
        if (tries == 0) return;
        if (tries > TRIES) {
            store.end(id, DeliveryState.FAILED,
                    "The server stopped twice while this was painted. Make it again, with fewer pixels per inch if that goes on.");
            return;
        }
        try {
            painted(id);
        } catch (Progress.Cancelled stopped) {
            LOG.info("Delivery {} was stopped", id);
        } catch (BadInput problem) {
            store.end(id, DeliveryState.FAILED, problem.getMessage());
        } catch (IOException | RuntimeException | OutOfMemoryError problem) {
            LOG.warn("Delivery {} failed, try {}", id, tries, problem);
            if (tries == TRIES) store.end(id, DeliveryState.FAILED, said(problem));
            else throw new IllegalStateException("Delivery " + id + " is tried once more", problem);
        }
    }

    private static String said(Throwable problem) {
        if (problem instanceof OutOfMemoryError) return "The server has too little memory for this. Choose fewer pixels per inch.";
        String message = String.valueOf(problem.getMessage());
        return message.contains("No space left") || message.contains("disk full")
                ? "There is no room left on the server's disk. Nothing of this file was stored."
                : "Something went wrong on the server, twice. Nothing of this file was stored.";
    }

    private void painted(UUID id) throws IOException {
        DeliveryOrder order = store.order(id);
        List<Page> pages = order.pages();
        int megapixels = pages.stream().map(order.delivery()::pixels).mapToInt(size -> (int) Math.min(ROOM, 1 + (long) size[0] * size[1] / 1_000_000)).max().orElse(1);
        room.acquireUninterruptibly(megapixels);
        Path file = Files.createTempFile("lantern-delivery", ".part");
        try {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
                order.delivery().write(pages, pictures.originals(order.account()), telling(id), out);
            }
            transaction.executeWithoutResult(status -> {
                try (InputStream in = Files.newInputStream(file)) {
                    if (!store.finish(id, in)) status.setRollbackOnly();
                } catch (IOException e) {
                    throw new IllegalStateException(e);
                }
            });
        } finally {
            Files.deleteIfExists(file);
            room.release(megapixels);
        }
    }

    /** Tells the database now and then, and hears there of somebody who stopped it. */
    private Progress telling(UUID id) {
        long[] told = {0};
        return share -> {
            synchronized (told) {
                if (System.nanoTime() - told[0] < TELLING_NANOS) return;
                told[0] = System.nanoTime();
                if (!store.progress(id, share)) throw new Progress.Cancelled();
            }
        };
    }

    int forgetOld() {
        return store.removeOlder(KEPT);
    }
}
