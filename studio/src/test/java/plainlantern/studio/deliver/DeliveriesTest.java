package plainlantern.studio.deliver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyDouble;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.ArgumentMatchers.contains;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.rendering.Delivery;
import plainlantern.rendering.Format;
import plainlantern.sheet.Sheet;
import plainlantern.studio.quota.Quotas;
import plainlantern.studio.room.Room;
import plainlantern.studio.shelf.Paints;
import plainlantern.studio.shelf.Pictures;
import plainlantern.studio.sheets.CurrentSheets;

/** What becomes of a delivery when something goes wrong; the database and the pictures stand in for all that can. */
class DeliveriesTest {
    private final DeliveryStore store = mock(DeliveryStore.class);
    private final Pictures pictures = mock(Pictures.class);
    private final Paints paints = mock(Paints.class);
    private final CurrentSheets current = mock(CurrentSheets.class);
    private final Deliveries deliveries = new Deliveries(store, pictures, paints, new Room(1_000_000_000), mock(Quotas.class), current,
            mock(TransactionTemplate.class));
    private final UUID id = UUID.randomUUID();

    @BeforeEach
    void anOrder() {
        when(store.order(id)).thenReturn(order(127));
        when(store.progress(any(), anyDouble())).thenReturn(true);
        when(current.current(any(), any())).thenAnswer(asked -> asked.getArgument(1));
    }

    private static DeliveryOrder order(double ppi) {
        return new DeliveryOrder(UUID.randomUUID(), UUID.randomUUID(), List.of(Sheet.empty("Card", Unit.MM, 1000, 1000, 127)), List.of(),
                Delivery.of(Format.PNG, ppi), Optional.empty());
    }

    /**
     * A failure of this machine is thrown, so that the job is tried once more; the second one is told, in words of its own for a full disk.
     */
    @Test
    void aFailureIsTriedOnceMoreAndThenTold() {
        when(pictures.originals(any())).thenThrow(new IllegalStateException("No space left on device"));
        when(store.begin(id)).thenReturn(Optional.of(1), Optional.of(2));
        assertThatThrownBy(() -> deliveries.paint(id)).isInstanceOf(IllegalStateException.class);
        verify(store, never()).end(any(), any(), anyString());
        deliveries.paint(id);
        verify(store).end(eq(id), eq(DeliveryState.FAILED), contains("no room left on the server's disk"));
    }

    /** A server that was killed twice while it painted is not asked a third time. */
    @Test
    void whatKillsTheServerIsNotTriedForEver() {
        when(store.begin(id)).thenReturn(Optional.of(3));
        deliveries.paint(id);
        verify(store).end(eq(id), eq(DeliveryState.FAILED), contains("stopped twice"));
        verify(store, never()).order(id);
    }

    /** One that was stopped before is not begun; one that is stopped while it is painted ends, and leaves no file. */
    @Test
    void aStoppedDeliveryEnds() throws Exception {
        when(store.begin(id)).thenReturn(Optional.empty());
        deliveries.paint(id);
        verify(store, never()).order(id);
        when(store.begin(id)).thenReturn(Optional.of(1));
        when(store.progress(any(), anyDouble())).thenReturn(false);
        deliveries.paint(id);
        verify(store, never()).finish(any(), any());
        verify(store, never()).end(any(), any(), anyString());
    }

    @Test
    void whatCannotBeMadeIsRefusedBeforeItIsTaken() {
        assertThatThrownBy(() -> deliveries.check(order(4800))).isInstanceOf(BadInput.class).hasMessageContaining("megapixels");
        when(paints.cost(any(), any(), any())).thenReturn(1_400_000_000L);
        assertThatThrownBy(() -> deliveries.check(order(127))).isInstanceOf(BadInput.class)
                .hasMessageContaining("takes about 1.4 GB of memory; the server has 1.0 GB");
        assertThat(Quotas.told(99_499)).isEqualTo("99 kB");
        assertThat(Quotas.told(34_560_000)).isEqualTo("34.6 MB");
    }

    /** A server that stops in an orderly way, however often, is no failed try: what it painted goes on after its start. */
    @Test
    void anOrderlyRestartIsNoFailure() {
        when(store.begin(id)).thenReturn(Optional.of(2));
        when(pictures.originals(any())).thenAnswer(call -> {
            deliveries.stop();
            throw new IllegalStateException("the pool is closed");
        });
        assertThatThrownBy(() -> deliveries.paint(id)).hasMessageContaining("after the restart");
        verify(store).giveBack(id);
        verify(store, never()).end(any(), any(), anyString());
    }
}
