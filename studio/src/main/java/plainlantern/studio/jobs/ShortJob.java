package plainlantern.studio.jobs;

import java.time.Duration;
import java.util.Optional;

/** A kind of short work in the background. It must not mind being done twice. */
public interface ShortJob {
    String name();

    /** @param what the thing to do it for; "" where it comes round by the clock */
    void run(String what);

    /** How often it comes round by itself; empty where it is only done when asked for. */
    default Optional<Duration> every() {
        return Optional.empty();
    }
}
