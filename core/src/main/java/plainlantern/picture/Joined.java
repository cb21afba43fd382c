package plainlantern.picture;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinPool;

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

    /**
     * The same without doing other work meanwhile. A thread of a pool that joins a future may run another of the pool's tasks until the
     * future is done; if that task asks for something that this very thread is in the middle of computing, it waits forever.
     */
    static <T> T idly(CompletableFuture<T> work) {
        if (!work.isDone()) {
            CountDownLatch done = new CountDownLatch(1);
            work.whenComplete((value, failure) -> done.countDown());
            try {
                ForkJoinPool.managedBlock(new ForkJoinPool.ManagedBlocker() {
                    @Override
                    public boolean block() throws InterruptedException {
                        done.await();
                        return true;
                    }

                    @Override
                    public boolean isReleasable() {
                        return done.getCount() == 0;
                    }
                });
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException("interrupted while waiting", e);
            }
        }
        return of(work);
    }
}
