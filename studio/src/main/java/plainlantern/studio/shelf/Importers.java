package plainlantern.studio.shelf;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import plainlantern.asking.BadInput;
import plainlantern.picture.ImportHelper;
import plainlantern.picture.Imported;
import plainlantern.studio.room.Turns;
import plainlantern.studio.web.Busy;

/**
 * The helper processes that read foreign files: a file that takes too long, too much memory, or crashes its decoder ends its helper and
 * nothing else.
 */
@Component
class Importers implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofMinutes(5);
    private static final Path NICE = Path.of("/usr/bin/nice");
    /** A third of what others get: less would keep whoever brings a picture waiting for the helper's mere start on a busy machine. */
    private static final String BEHIND = "5";
    /** How often a helper is looked at, milliseconds, and how many times its working time it may take where others are at work. */
    private static final long CHECK = 500;
    private static final int WAITING = 5;
    private static final Logger LOG = LoggerFactory.getLogger(Importers.class);

    private final Imports settings;
    private final Turns turns;
    private final Deque<Helper> idle = new ArrayDeque<>();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "imports-clock");
        thread.setDaemon(true);
        return thread;
    });

    Importers(Imports settings) {
        this.settings = settings;
        turns = new Turns(settings.atOnce(), Math.max(1, settings.atOnce() - 1));
        clock.scheduleWithFixedDelay(this::tidy, 10, 10, TimeUnit.SECONDS);
    }

    /** One process, and since when it has had nothing to do. */
    private static final class Helper {
        private final Process process;
        private final DataOutputStream to;
        private final DataInputStream from;
        private long since;

        private Helper(Process process) {
            this.process = process;
            to = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
            from = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16));
        }

        /** What it used of a processor so far: a file is not slow because others are at work. */
        private Duration worked() {
            return process.info().totalCpuDuration().orElse(Duration.ZERO);
        }

        private void end() {
            process.destroyForcibly();
        }
    }

    /** Reads one file; throws {@link BadInput} with the reason where it cannot be used, {@link Busy} where there is no helper in time. */
    Imported read(UUID account, String name, Path file) {
        return turns.with(account, 1, PATIENCE, "Many pictures are being brought in just now. Try again in a minute.",
                () -> asked(name, file));
    }

    private Imported asked(String name, Path file) {
        Helper helper = helper();
        boolean[] late = {false};
        Duration before = helper.worked();
        long began = System.nanoTime();
        ScheduledFuture<?> limit = clock.scheduleWithFixedDelay(() -> {
            boolean waits = Duration.ofNanos(System.nanoTime() - began).compareTo(settings.time().multipliedBy(WAITING)) > 0;
            if (!waits && helper.worked().minus(before).compareTo(settings.time()) <= 0) return;
            late[0] = true;
            helper.end();
        }, CHECK, CHECK, TimeUnit.MILLISECONDS);
        boolean whole = false;
        try {
            ImportHelper.ask(name, file, helper.to);
            Imported imported = ImportHelper.answered(name, helper.from);
            whole = true;
            return imported;
        } catch (BadInput refused) {
            whole = true;
            throw refused;
        } catch (IOException e) {
            LOG.warn("An import helper ended while it read a file, {}", late[0] ? "which took too long" : e.toString());
            throw new BadInput("pictures", late[0] ? name
                    + " takes too long to be read. Save it anew as a plain JPEG or PNG and bring that."
                    : name + " is damaged and cannot be read.");
        } finally {
            limit.cancel(false);
            if (whole && !late[0]) putBack(helper);
            else helper.end();
        }
    }

    private Helper helper() {
        synchronized (idle) {
            while (!idle.isEmpty()) {
                Helper helper = idle.pop();
                if (helper.process.isAlive()) return helper;
            }
        }
        try {
            return new Helper(new ProcessBuilder(command()).redirectError(ProcessBuilder.Redirect.DISCARD).start());
        } catch (IOException e) {
            throw new UncheckedIOException("The import helper cannot be started", e);
        }
    }

    /** The Java that runs this, with the same classes, a heap of its own and no wish to keep it; whoever edits meanwhile comes first. */
    private List<String> command() {
        String classes = System.getProperty("java.class.path");
        List<String> command = new ArrayList<>(Files.isExecutable(NICE) ? List.of(NICE.toString(), "-n", BEHIND) : List.of());
        command.addAll(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx" + settings.heap(), "-XX:+UseSerialGC",
                "-XX:MinHeapFreeRatio=10", "-XX:MaxHeapFreeRatio=20", "-XX:-UsePerfData", "-Djava.awt.headless=true", "-cp", classes));
        // The application as one file carries its classes inside: its own launcher finds them.
        if (Importers.class.getProtectionDomain().getCodeSource().getLocation().toString().contains("BOOT-INF"))
            command.addAll(List.of("-Dloader.main=" + ImportHelper.class.getName(),
                    "org.springframework.boot.loader.launch.PropertiesLauncher"));
        else command.add(ImportHelper.class.getName());
        return command;
    }

    private void putBack(Helper helper) {
        synchronized (idle) {
            helper.since = System.nanoTime();
            idle.push(helper);
        }
    }

    private void tidy() {
        synchronized (idle) {
            idle.removeIf(helper -> {
                boolean old = System.nanoTime() - helper.since > settings.idle().toNanos();
                if (old) helper.end();
                return old;
            });
        }
    }

    @Override
    public void close() {
        clock.shutdownNow();
        synchronized (idle) {
            idle.forEach(Helper::end);
            idle.clear();
        }
    }
}
