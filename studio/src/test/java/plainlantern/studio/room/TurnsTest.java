package plainlantern.studio.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.Test;
import plainlantern.asking.BadInput;
import plainlantern.studio.web.Busy;

class TurnsTest {
    private static final Duration SOON = Duration.ofMillis(30);
    private static final Duration LONG = Duration.ofSeconds(20);

    @Test
    void oneWhoTakesManyDoesNotStandInTheWayOfOthers() throws Exception {
        Turns turns = new Turns(3, 2);
        assertThat(turns.take("anne", 1, SOON)).isTrue();
        assertThat(turns.take("anne", 1, SOON)).isTrue();
        assertThat(turns.take("anne", 1, SOON)).isFalse();
        assertThat(turns.take("ben", 1, SOON)).isTrue();
        assertThat(turns.take("cleo", 1, SOON)).isFalse();
        turns.giveBack("anne", 1);
        assertThat(turns.take("cleo", 1, SOON)).isTrue();
    }

    /**
     * Anne holds all and has two more wishes; Ben, who came last, gets what she gives back. A large wish is not passed by for ever by small
     * ones.
     */
    @Test
    void whoHoldsLeastComesFirst() throws Exception {
        Turns turns = new Turns(10, 10);
        turns.take("anne", 4, SOON);
        turns.take("anne", 6, SOON);
        List<String> order = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch all = new CountDownLatch(3);
        String[][] wishes = {{"anne", "4"}, {"anne", "4"}, {"ben", "7"}};
        for (String[] wish : wishes) {
            Thread thread = new Thread(() -> {
                try {
                    if (turns.take(wish[0], Long.parseLong(wish[1]), LONG)) order.add(wish[0]);
                    turns.giveBack(wish[0], Long.parseLong(wish[1]));
                } catch (InterruptedException e) {
                    order.add("interrupted");
                }
                all.countDown();
            });
            thread.start();
            waits(thread);
        }
        turns.giveBack("anne", 6);
        assertThat(turns.take("cleo", 6, SOON)).isFalse();
        turns.giveBack("anne", 1);
        turns.giveBack("anne", 3);
        all.await();
        assertThat(order).containsExactly("ben", "anne", "anne");
    }

    /** Until somebody stands in line. */
    private static void waits(Thread thread) {
        while (thread.getState() != Thread.State.TIMED_WAITING) Thread.onSpinWait();
    }

    /** A wait that is broken off takes nothing along, and the next in line has its turn. */
    @Test
    void aWaitCanBeBrokenOff() throws Exception {
        Turns turns = new Turns(1, 1);
        turns.take("anne", 1, SOON);
        CountDownLatch broken = new CountDownLatch(1);
        Thread waiting = new Thread(() -> {
            try {
                turns.take("ben", 1, LONG);
            } catch (InterruptedException e) {
                broken.countDown();
            }
        });
        waiting.start();
        waits(waiting);
        waiting.interrupt();
        broken.await();
        turns.giveBack("anne", 1);
        assertThat(turns.take("cleo", 1, SOON)).isTrue();
    }

    @Test
    void whatNeverFitsIsRefusedInWordsAndAFailureGivesBackWhatItHad() {
        Room room = new Room(1000);
        UUID anne = UUID.randomUUID();
        assertThatThrownBy(() -> room.with(anne, 1001, () -> "")).isInstanceOf(BadInput.class).hasMessageContaining("of memory");
        for (int i = 0; i < 3; i++) {
            assertThatThrownBy(() -> room.with(anne, 900, () -> {
                throw new OutOfMemoryError("painted too large");
            })).isInstanceOf(OutOfMemoryError.class);
        }
        assertThat(room.with(anne, 900, () -> "painted")).isEqualTo("painted");
        Thread.currentThread().interrupt();
        assertThatThrownBy(() -> room.with(anne, 900, () -> room.with(anne, 900, () -> ""))).isInstanceOf(Busy.class);
        assertThat(Thread.interrupted()).isTrue();
    }
}
