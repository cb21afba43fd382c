package plainlantern.studio.deliver;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import plainlantern.studio.quota.Quotas;

/** Deliveries as jobs in the database, which all nodes share: one that dies while it paints leaves its job to be found by another. */
@Component
class DeliveryJobs implements AutoCloseable {
    private static final int AT_ONCE = 2;
    private static final Duration HEARTBEAT = Duration.ofSeconds(5);
    /** A node that was silent for so many heartbeats is taken for dead. */
    private static final int SILENT = 4;

    private final Deliveries deliveries;
    private final Quotas quotas;
    private final TransactionTemplate transaction;
    private final OneTimeTask<Void> painting;
    private final Scheduler scheduler;

    DeliveryJobs(DataSource dataSource, TransactionTemplate transaction, Deliveries deliveries, Quotas quotas) {
        this.quotas = quotas;
        this.deliveries = deliveries;
        this.transaction = transaction;
        painting = Tasks.oneTime("delivery").onFailure(new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(1)))
                .execute((job, context) -> deliveries.paint(UUID.fromString(job.getId())));
        RecurringTask<Void> cleaning = Tasks.recurring("old deliveries", FixedDelay.ofHours(1))
                .execute((job, context) -> deliveries.forgetOld());
        scheduler = Scheduler.create(new TransactionAwareDataSourceProxy(dataSource), painting).startTasks(cleaning).threads(AT_ONCE)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(HEARTBEAT).missedHeartbeatsLimit(SILENT).shutdownMaxWait(Duration.ofSeconds(5))
                        .enableImmediateExecution().build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }

    /** Takes orders, all or none of them, and has them painted as soon as there is room. */
    List<UUID> add(List<DeliveryOrder> orders) {
        List<Deliveries.Checked> checked = orders.stream().map(deliveries::check).toList();
        quotas.waiting(orders.get(0).account(), orders.size());
        return transaction.execute(status -> checked.stream().map(order -> {
            UUID id = deliveries.add(order);
            scheduler.schedule(painting.instance(id.toString()), Instant.now());
            return id;
        }).toList());
    }

    @Override
    public void close() {
        deliveries.stop();
        scheduler.stop();
    }
}
