package plainlantern.studio.deliver;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.asking.BadInput;
import plainlantern.rendering.Progress;
import plainlantern.scene.Page;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.room.Room;
import plainlantern.studio.room.Work;
import plainlantern.studio.sheets.CurrentSheets;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Pictures;

/** Deliveries: ordered, painted one after the other, kept for a while. */
@Service
class Deliveries {
    /** How long finished files stay. */
    static final Duration KEPT = Duration.ofDays(7);
    private static final int TRIES = 2;
    /** How often one that waits for memory looks whether somebody stopped it. */
    private static final Duration LOOK = Duration.ofSeconds(15);
    private static final long TELLING_NANOS = 250_000_000;
    private static final Logger LOG = LoggerFactory.getLogger(Deliveries.class);

    private final DeliveryStore store;
    private final Pictures pictures;
    private final Paints paints;
    private final Room room;
    private final Quotas quotas;
    private final CurrentSheets current;
    private final TransactionTemplate transaction;
    /** Those that are painted here now. */
    private final Set<UUID> painting = ConcurrentHashMap.newKeySet();
    private volatile boolean stopping;

    Deliveries(DeliveryStore store, Pictures pictures, Paints paints, Room room, Quotas quotas, CurrentSheets current,
            TransactionTemplate transaction) {
        this.current = current;
        this.store = store;
        this.pictures = pictures;
        this.paints = paints;
        this.room = room;
        this.quotas = quotas;
        this.transaction = transaction;
    }

    /** An order that can be carried out, with its pages. */
    record Checked(DeliveryOrder order, List<Page> pages) {}

    /** Throws {@link BadInput} for an order that cannot be carried out here. */
    Checked check(DeliveryOrder order) {
        List<Page> pages = order.pages();
        order.delivery().check(pages);
        room.possible(paints.cost(order.account(), order.delivery(), pages));
        return new Checked(order, pages);
    }

    UUID add(Checked checked) {
        return store.add(checked.order(), checked.pages());
    }

    /** This node stops: what it paints is painted by another, or by itself after its next start, and that is no failed try. */
    void stop() {
        stopping = true;
        for (UUID id : painting) store.giveBack(id);
    }

    /**
     * Paints a delivery to its end. One that somebody stopped stays so. What went wrong on this machine is thrown, so that it is tried once
     * more; what is wrong with the order is told at once.
     */
    void paint(UUID id) {
        if (stopping) throw new IllegalStateException("Delivery " + id + " is begun after the restart");
        int tries = store.begin(id).orElse(0);
        if (tries == 0) return;
        if (tries > TRIES) {
            store.end(id, DeliveryState.FAILED,
                    "The server stopped twice while this was painted. Make it again, with fewer pixels per inch if that goes on.");
            return;
        }
        painting.add(id);
        try {
            painted(id);
        } catch (Progress.Cancelled stopped) {
            if (stopping) throw new IllegalStateException("Delivery " + id + " goes on after the restart");
            LOG.info("Delivery {} was stopped", id);
        } catch (BadInput problem) {
            store.end(id, DeliveryState.FAILED, problem.getMessage());
        } catch (IOException | RuntimeException | OutOfMemoryError problem) {
            if (stopping) throw new IllegalStateException("Delivery " + id + " goes on after the restart", problem);
            LOG.warn("Delivery {} failed, try {}", id, tries, problem);
            if (tries == TRIES) store.end(id, DeliveryState.FAILED, said(problem));
            else throw new IllegalStateException("Delivery " + id + " is tried once more", problem);
        } finally {
            painting.remove(id);
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
        DeliveryOrder ordered = store.order(id);
        boolean nests = ordered.sheets().stream().anyMatch(sheet -> current.nests(ordered.account(), sheet));
        if (nests) store.say(id, "redrawing the sheets in it first");
        DeliveryOrder order = ordered.showing(sheet -> current.current(ordered.account(), sheet));
        if (nests) store.say(id, "");
        List<Page> pages = order.pages();
        long cost = paints.cost(order.account(), order.delivery(), pages);
        room.possible(cost);
        awaitRoom(id, order.account(), cost);
        Path file = null;
        try {
            file = Work.file("delivery");
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
                order.delivery().write(pages, pictures.originals(order.account()), telling(id), out);
            }
            Path made = file;
            quotas.files(order.account(), Files.size(made));
            transaction.executeWithoutResult(status -> {
                try (InputStream in = Files.newInputStream(made)) {
                    if (!store.finish(id, in)) status.setRollbackOnly();
                } catch (IOException e) {
                    throw new IllegalStateException(e);
                }
            });
        } finally {
            room.giveBack(order.account(), cost);
            if (file != null) Files.deleteIfExists(file);
        }
    }

    private void awaitRoom(UUID id, UUID account, long cost) {
        try {
            while (!room.take(account, cost, LOOK)) if (stopping || !store.progress(id, 0)) throw new Progress.Cancelled();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Progress.Cancelled();
        }
    }

    /** Tells the database now and then, and hears there of somebody who stopped it. */
    private Progress telling(UUID id) {
        long[] told = {0};
        return share -> {
            synchronized (told) {
                if (System.nanoTime() - told[0] < TELLING_NANOS) return;
                told[0] = System.nanoTime();
                if (stopping || !store.progress(id, share)) throw new Progress.Cancelled();
            }
        };
    }

    int forgetOld() {
        return store.removeOlder(KEPT);
    }
}
