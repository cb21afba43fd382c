package plainlantern.studio.jobs;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** The queue of short work, in the database. */
@Component
public class ShortJobs implements AutoCloseable {
    private static final int AT_ONCE = 2;
    private static final int TRIES = 3;

    private final Map<String, OneTimeTask<Void>> kinds = new HashMap<>();
    private final Scheduler scheduler;
    private final ExecutorService queueing = Executors.newSingleThreadExecutor();

    ShortJobs(DataSource dataSource, List<ShortJob> jobs) {
        List<Task<?>> all = new ArrayList<>();
        List<RecurringTask<?>> recurring = new ArrayList<>();
        for (ShortJob job : jobs) {
            OneTimeTask<Void> task = Tasks.oneTime(job.name())
                    .onFailure(new FailureHandler.MaxRetriesFailureHandler<>(TRIES,
                            new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(20))))
                    .execute((instance, context) -> job.run(instance.getId()));
            kinds.put(job.name(), task);
            all.add(task);
            job.every().ifPresent(time -> recurring.add(Tasks.recurring(job.name() + ", by the clock", FixedDelay.of(time))
                    .execute((instance, context) -> job.run(""))));
        }
        scheduler = Scheduler.create(dataSource, all).startTasks(recurring).tableName("short_tasks").threads(AT_ONCE)
                .pollingInterval(Duration.ofSeconds(1))
                .heartbeatInterval(Duration.ofSeconds(5)).missedHeartbeatsLimit(4).shutdownMaxWait(Duration.ofSeconds(3))
                        .enableImmediateExecution().build();
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        scheduler.start();
    }

    /** Has it done soon; one that waits already is not asked for twice. */
    public void add(String name, String what) {
        scheduler.scheduleIfNotExists(kinds.get(name).instance(what), Instant.now());
    }

    /** Has all of them done soon, in this order; nobody waits until they are queued. */
    public void addAll(String name, List<String> all) {
        queueing.execute(() -> all.forEach(what -> add(name, what)));
    }

    @Override
    public void close() {
        queueing.shutdown();
        scheduler.stop();
    }
}
