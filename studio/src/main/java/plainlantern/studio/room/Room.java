package plainlantern.studio.room;

import java.time.Duration;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import plainlantern.asking.BadInput;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.web.Busy;

/**
 * The memory of this process for pixels. Whatever paints or reads pictures says before how much it takes, waits until that is free, and
 * gives it back; what never fits is refused. The rest of the heap is for everything else.
 */
@Component
public class Room {
    /** Of the heap; the rest is for documents, requests and what a sum of costs cannot foresee. */
    private static final double SHARE = 0.55;
    private static final Duration PATIENCE = Duration.ofSeconds(40);

    private final Turns memory;

    Room() {
        this((long) (Runtime.getRuntime().maxMemory() * SHARE));
    }

    /** @param bytes for pixels, in all */
    public Room(long bytes) {
        memory = new Turns(bytes, bytes);
    }

    /** The most that one piece of work can have, bytes. */
    public long most() {
        return memory.most();
    }

    /** Throws {@link BadInput} where so much can never be had here. */
    public void possible(long bytes) {
        BadInput.unless(bytes <= most(), "ppi", "This takes about " + Quotas.told(bytes) + " of memory; the server has "
                + Quotas.told(most())
                + " for it. Choose fewer pixels per inch, or smaller pictures.");
    }

    /** Works for somebody who waits for the answer; throws {@link Busy} where there is no room in time. */
    public <T> T with(UUID account, long bytes, Supplier<T> work) {
        possible(bytes);
        return memory.with(account, bytes, PATIENCE, "The server is busy with large pictures. Try again in a minute.", work);
    }

    /** Waits for as long as {@code patience} says; false where there is no room in that time. What was had is to be given back. */
    public boolean take(UUID account, long bytes, Duration patience) throws InterruptedException {
        return memory.take(account, bytes, patience);
    }

    public void giveBack(UUID account, long bytes) {
        memory.giveBack(account, bytes);
    }
}
