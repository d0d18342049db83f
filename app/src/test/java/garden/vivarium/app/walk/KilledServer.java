package garden.vivarium.app.walk;

import garden.vivarium.app.VivariumApplication;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.PrivateDatabase;
import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;

/** The application in a process of its own on the tests' database, that can be killed as by a power cut and started again at its port. */
final class KilledServer implements AutoCloseable {

    private static final long PATIENCE_MS = 300_000;

    private final int port;
    private final Path log;
    private Process process;

    KilledServer(Path folder) throws IOException {
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        log = folder.resolve("server.log");
    }

    int port() {
        return port;
    }

    void start() throws IOException, InterruptedException {
        PrivateDatabase db = PrivateDatabase.one();
        ProcessBuilder start = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx400m",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-cp",
                System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                VivariumApplication.class.getName(),
                "--server.port=" + port,
                "--vivarium.today=" + OnDatabase.TODAY,
                "--vivarium.scheduled=false",
                "--vivarium.ahead.most=0",
                "--vivarium.door.free-by-address=100000");
        start.environment().put("SPRING_DATASOURCE_URL", db.url());
        start.environment().put("SPRING_DATASOURCE_USERNAME", db.user());
        start.environment().put("SPRING_DATASOURCE_PASSWORD", db.password());
        Files.deleteIfExists(log);
        process = start.redirectErrorStream(true)
                .redirectOutput(new File(log.toString()))
                .start();
        long until = System.currentTimeMillis() + PATIENCE_MS;
        while (!Files.readString(log).contains("Vivarium is ready")) {
            if (!process.isAlive()) {
                throw new IllegalStateException(
                        "the server ended with " + process.exitValue() + ": " + Files.readString(log));
            } else if (System.currentTimeMillis() > until) {
                throw new IllegalStateException("the server did not start in time: " + Files.readString(log));
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
    }

    /** As kill -9 does. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
    }

    @Override
    public void close() {
        if (process != null) {
            process.destroyForcibly();
        }
    }
}
