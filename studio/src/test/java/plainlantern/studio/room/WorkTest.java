package plainlantern.studio.room;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WorkTest {
    /** What a process left behind that was killed goes; what one works on that lives stays, and so do other things. */
    @Test
    void whatDeadProcessesLeftBehindGoes(@TempDir Path folder) throws Exception {
        Process brief = new ProcessBuilder("true").start();
        brief.waitFor();
        Path dead = Files.createDirectory(folder.resolve("plain-lantern-work-" + brief.pid()));
        Files.writeString(dead.resolve("delivery1.part"), "half a poster");
        Path alive = Files.createDirectory(folder.resolve("plain-lantern-work-" + ProcessHandle.current().pid()));
        Path other = Files.createDirectory(folder.resolve("plain-lantern-work-notes"));
        Work.tidy(folder);
        assertThat(dead).doesNotExist();
        assertThat(alive).exists();
        assertThat(other).exists();
    }
}
