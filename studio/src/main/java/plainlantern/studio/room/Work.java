package plainlantern.studio.room;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The folder for files that this process works on: uploads, and deliveries on their way. What dead processes left behind goes at the next
 * start.
 */
public final class Work {
    private static final String NAME = "plain-lantern-work-";
    private static final Path OWN = made(Path.of(System.getProperty("java.io.tmpdir")));

    private Work() {}

    /** This process's own folder. */
    public static Path folder() {
        return OWN;
    }

    /** A new empty file in it. */
    public static Path file(String kind) throws IOException {
        return Files.createTempFile(OWN, kind, ".part");
    }

    /** What is done with a file that is gone afterwards. */
    public interface Task<T> {
        T with(Path file) throws IOException;
    }

    /** Does it with a new file of that kind. */
    public static <T> T during(String kind, Task<T> task) throws IOException {
        Path file = file(kind);
        try {
            return task.with(file);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private static Path made(Path parent) {
        try {
            tidy(parent);
            Path own = parent.resolve(NAME + ProcessHandle.current().pid());
            remove(own);
            Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(own)));
            return Files.createDirectory(own);
        } catch (IOException e) {
            throw new UncheckedIOException("There is no folder to work in", e);
        }
    }

    /** Removes the folders of processes that are no more. */
    static void tidy(Path parent) throws IOException {
        try (Stream<Path> all = Files.list(parent)) {
            for (Path folder : all.filter(path -> path.getFileName().toString().matches(NAME + "[0-9]{1,10}")).toList()) {
                long process = Long.parseLong(folder.getFileName().toString().substring(NAME.length()));
                if (ProcessHandle.of(process).isEmpty()) remove(folder);
            }
        }
    }

    private static void remove(Path folder) {
        if (!Files.isDirectory(folder)) return;
        try (Stream<Path> all = Files.walk(folder)) {
            List<Path> inner = all.sorted(Comparator.reverseOrder()).toList();
            for (Path path : inner) Files.deleteIfExists(path);
        } catch (IOException e) {
            // Somebody else's, or in use: the next start tries again.
        }
    }
}
