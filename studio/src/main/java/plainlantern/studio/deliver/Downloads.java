package plainlantern.studio.deliver;

import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.concurrent.ThreadPoolTaskExecutor;
import org.springframework.web.servlet.config.annotation.AsyncSupportConfigurer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;
import plainlantern.studio.web.Busy;

/**
 * Downloads take as long as the line of whoever asked. Each has a thread of its own, which mostly waits; there are enough of them that slow
 * readers do not stop others, and one account has a few at a time. A reader that takes nothing at all for a while is given up.
 */
@Configuration
class Downloads implements WebMvcConfigurer {
    private static final int AT_ONCE = 400;
    private static final int EACH = 8;
    private static final int IDLE_SECONDS = 30;

    private final Map<UUID, Integer> running = new ConcurrentHashMap<>();

    @Override
    public void configureAsyncSupport(AsyncSupportConfigurer support) {
        ThreadPoolTaskExecutor threads = new ThreadPoolTaskExecutor();
        threads.setThreadNamePrefix("download-");
        threads.setCorePoolSize(AT_ONCE);
        threads.setMaxPoolSize(AT_ONCE);
        threads.setQueueCapacity(0);
        threads.setAllowCoreThreadTimeOut(true);
        threads.setKeepAliveSeconds(IDLE_SECONDS);
        threads.setDaemon(true);
        threads.initialize();
        support.setTaskExecutor(threads);
    }

    /** The same answer, counted as one of the account's; throws {@link Busy} where it has as many as it can have. */
    StreamingResponseBody of(UUID account, StreamingResponseBody body) {
        if (running.getOrDefault(account, 0) >= EACH)
            throw new Busy("You are saving " + EACH + " files already. Try again when one of them has arrived.");
        return out -> {
            running.merge(account, 1, Integer::sum);
            try {
                body.writeTo(out);
            } finally {
                running.computeIfPresent(account, (who, count) -> count == 1 ? null : count - 1);
            }
        };
    }
}
