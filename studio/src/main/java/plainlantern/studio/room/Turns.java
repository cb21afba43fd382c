package plainlantern.studio.room;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.Condition;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import plainlantern.studio.web.Busy;

/**
 * So much of something, lent to whoever asks. Who holds least comes first, of those the one who asked first; who is next is not passed by
 * smaller wishes, so that everybody's turn comes.
 */
public final class Turns {
    private final long all;
    private final long each;
    private final ReentrantLock lock = new ReentrantLock();
    private final Map<Object, Long> held = new HashMap<>();
    private final List<Wish> waiting = new ArrayList<>();
    private long lent;

    private static final class Wish {
        private final Object who;
        private final long amount;
        private final Condition granted;
        private boolean done;

        private Wish(Object who, long amount, Condition granted) {
            this.who = who;
            this.amount = amount;
            this.granted = granted;
        }
    }

    /**
     * @param all  there is of it
     * @param each that one may hold at a time
     */
    public Turns(long all, long each) {
        this.all = all;
        this.each = Math.min(all, each);
    }

    /** The most that can be asked for at once. */
    public long most() {
        return each;
    }

    /**
     * Waits for {@code amount}, which {@link #giveBack} returns; false where it was not to be had in time.
     *
     * @throws InterruptedException where the wait is broken off
     */
    public boolean take(Object who, long amount, Duration atMost) throws InterruptedException {
        if (amount > each) throw new IllegalArgumentException(amount + " of " + each);
        lock.lock();
        try {
            Wish wish = new Wish(who, amount, lock.newCondition());
            waiting.add(wish);
            grant();
            long left = atMost.toNanos();
            try {
                while (!wish.done && left > 0) left = wish.granted.awaitNanos(left);
            } catch (InterruptedException e) {
                if (wish.done) giveBack(who, amount);
                throw e;
            } finally {
                if (!wish.done) {
                    waiting.remove(wish);
                    grant();
                }
            }
            return wish.done;
        } finally {
            lock.unlock();
        }
    }

    /** Works with so much of it and gives it back; throws {@link Busy} with those words where it was not to be had in time. */
    public <T> T with(Object who, long amount, Duration atMost, String busy, Supplier<T> work) {
        try {
            if (!take(who, amount, atMost)) throw new Busy(busy);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Busy("The server is stopping. Try again in a minute.");
        }
        try {
            return work.get();
        } finally {
            giveBack(who, amount);
        }
    }

    public void giveBack(Object who, long amount) {
        lock.lock();
        try {
            lent -= amount;
            held.merge(who, -amount, Long::sum);
            held.remove(who, 0L);
            grant();
        } finally {
            lock.unlock();
        }
    }

    private void grant() {
        while (true) {
            // Who holds as much as one may does not stand in the way of others.
            Wish next = waiting.stream().filter(w -> held(w) + w.amount <= each).min(Comparator.comparingLong(this::held)).orElse(null);
            if (next == null || lent + next.amount > all) return;
            waiting.remove(next);
            lent += next.amount;
            held.merge(next.who, next.amount, Long::sum);
            next.done = true;
            next.granted.signal();
        }
    }

    private long held(Wish wish) {
        return held.getOrDefault(wish.who, 0L);
    }
}
