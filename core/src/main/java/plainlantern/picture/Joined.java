package plainlantern.picture;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;

/** Waits for work done elsewhere; what went wrong there is thrown here as it was. */
public final class Joined {
    private Joined() {}

    public static <T> T of(CompletableFuture<T> work) {
        try {
            return work.join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            if (e.getCause() instanceof Error cause) throw cause;
            throw e;
        }
    }
}
