package garden.vivarium.app.platform;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** A MariaDB of the tests' own: started once for all of them on a free loopback port, and gone when they are done. */
public final class PrivateDatabase {

    private static final PrivateDatabase ONE = start();

    private final int port;
    private final String password;

    private PrivateDatabase(int port, String password) {
        this.port = port;
        this.password = password;
    }

    public static PrivateDatabase one() {
        return ONE;
    }

    public String url() {
        return "jdbc:mariadb://127.0.0.1:" + port + "/vivarium";
    }

    /** A second database, in which nobody is yet. */
    public String emptyUrl() {
        return "jdbc:mariadb://127.0.0.1:" + port + "/vivarium_first";
    }

    /** A third database, for data of an earlier version. */
    public String earlierUrl() {
        return "jdbc:mariadb://127.0.0.1:" + port + "/vivarium_earlier";
    }

    /** Runs a dump against the third database, over the network as the application's own user. */
    public void loadEarlier(InputStream sql) throws IOException {
        Process client = new ProcessBuilder(
                        "mariadb",
                        "--no-defaults",
                        "-h127.0.0.1",
                        "-P" + port,
                        "-u" + user(),
                        "-p" + password,
                        "--default-character-set=utf8mb4",
                        "vivarium_earlier")
                .redirectErrorStream(true)
                .start();
        try (OutputStream to = client.getOutputStream()) {
            sql.transferTo(to);
        }
        String said = new String(client.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        try {
            if (client.waitFor() != 0) {
                throw new IOException("the dump was not read: " + said);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    public String user() {
        return "vivarium";
    }

    public String password() {
        return password;
    }

    private static PrivateDatabase start() {
        try {
            Path folder = Files.createTempDirectory("vivarium-db");
            String me = System.getProperty("user.name");
            Path data = folder.resolve("data");
            run(
                    folder,
                    "mariadb-install-db",
                    "--no-defaults",
                    "--datadir=" + data,
                    "--user=" + me,
                    "--auth-root-authentication-method=socket",
                    "--auth-root-socket-user=" + me,
                    "--skip-test-db");
            String password = UUID.randomUUID().toString();
            Path init = folder.resolve("init.sql");
            Files.writeString(init, """
                    create database if not exists vivarium character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
                    create or replace user 'vivarium'@'127.0.0.1' identified by '%s';
                    grant all on vivarium.* to 'vivarium'@'127.0.0.1';
                    create database if not exists vivarium_first character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
                    grant all on vivarium_first.* to 'vivarium'@'127.0.0.1';
                    create database if not exists vivarium_earlier character set utf8mb4 collate utf8mb4_uca1400_ai_ci;
                    grant all on vivarium_earlier.* to 'vivarium'@'127.0.0.1';
                    """.formatted(password));
            int port = freePort();
            Process server = new ProcessBuilder(
                            "/usr/sbin/mariadbd",
                            "--no-defaults",
                            "--user=" + me,
                            "--datadir=" + data,
                            "--bind-address=127.0.0.1",
                            "--port=" + port,
                            "--socket=" + folder.resolve("s"),
                            "--pid-file=" + folder.resolve("pid"),
                            "--log-error=" + folder.resolve("error.log"),
                            "--init-file=" + init,
                            "--skip-name-resolve",
                            "--character-set-server=utf8mb4",
                            "--default-time-zone=+00:00",
                            "--innodb-buffer-pool-size=128M",
                            "--innodb-flush-log-at-trx-commit=0",
                            "--innodb-flush-method=nosync",
                            "--innodb-doublewrite=OFF")
                    .redirectErrorStream(true)
                    .redirectOutput(folder.resolve("out.log").toFile())
                    .start();
            Runtime.getRuntime().addShutdownHook(new Thread(() -> stop(server, folder)));
            awaitPort(server, port, folder);
            return new PrivateDatabase(port, password);
        } catch (IOException e) {
            throw new UncheckedIOException("the tests' database did not start", e);
        }
    }

    private static void stop(Process server, Path folder) {
        server.destroy();
        try {
            server.waitFor(10, TimeUnit.SECONDS);
            try (Stream<Path> files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.deleteIfExists(file);
                }
            }
        } catch (IOException e) {
            System.err.println("left behind: " + folder);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void run(Path folder, String... command) throws IOException {
        Path log = folder.resolve("install.log");
        Process process = new ProcessBuilder(List.of(command))
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        try {
            if (process.waitFor() != 0) {
                throw new IOException(command[0] + " failed: " + Files.readString(log));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static void awaitPort(Process server, int port, Path folder) throws IOException {
        for (int i = 0; i < 600 && server.isAlive(); i++) {
            try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
                if (socket.isConnected()) {
                    return;
                }
            } catch (IOException notYet) {
                try {
                    Thread.sleep(50);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            }
        }
        throw new IOException("mariadbd did not answer: " + Files.readString(folder.resolve("error.log")));
    }
}
