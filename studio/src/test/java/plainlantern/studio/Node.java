package plainlantern.studio;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The application as a process of its own, on the tests' database, to be killed or starved. */
final class Node implements AutoCloseable {
    private static final HttpClient CLIENT = HttpClient.newHttpClient();

    private final List<String> options;
    private final Map<String, String> settings;
    private final int port;
    private Process process;

    /** Starts one; {@code options} go to Java, {@code settings} into its environment. */
    Node(List<String> options, Map<String, String> settings) throws IOException {
        this.options = options;
        this.settings = settings;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        start();
    }

    void start() throws IOException {
        List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:+UseSerialGC"));
        command.addAll(options);
        command.addAll(List.of("-cp", System.getProperty("java.class.path"), "plainlantern.studio.Studio"));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(new File("target/node-" + port + ".log")));
        builder.environment().putAll(settings);
        builder.environment().putAll(Map.of("LANTERN_PORT", Integer.toString(port), "LANTERN_THROTTLE_SIGNUPS", "1000000"));
        process = builder.start();
    }

    int port() {
        return port;
    }

    boolean alive() {
        return process.isAlive();
    }

    /** Whether it answers, and soon. */
    boolean answers() {
        try {
            HttpRequest door = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/sign-in"))
                    .timeout(Duration.ofSeconds(5)).build();
            return CLIENT.send(door, BodyHandlers.discarding()).statusCode() == 200;
        } catch (IOException e) {
            return false;
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    Node ready() throws Exception {
        for (int tries = 0; tries < 600; tries++) {
            if (answers()) return this;
            if (!process.isAlive()) throw new IllegalStateException("it ended by itself, see target/node-" + port + ".log");
            Thread.sleep(100);
        }
        throw new IllegalStateException("it did not start");
    }

    /** As kill -9 does, without a word. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
