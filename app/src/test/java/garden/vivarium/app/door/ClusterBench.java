package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Four people save through the proxy of a cluster for trial while a node of the application and a node of the database are killed.
 * What was acknowledged is there once; nobody has to sign in again. Printed, and asserted.
 */
@EnabledIfSystemProperty(named = "vivarium.bench", matches = "cluster")
class ClusterBench {

    private static final String PASSWORD = "sand eels at dawn";
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private final int port = Integer.getInteger("cluster.port");
    private final Path pids = Path.of(System.getProperty("cluster.pids"));
    private final Queue<String> acknowledged = new ConcurrentLinkedQueue<>();
    private final AtomicInteger askedAgain = new AtomicInteger();
    private final AtomicInteger unknown = new AtomicInteger();
    private final AtomicInteger signedOut = new AtomicInteger();
    private final AtomicBoolean over = new AtomicBoolean();
    private volatile long longest;

    @Test
    void nodesDieWhilePeopleSave() throws Exception {
        open();
        List<Thread> people = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            int n = i;
            Visitor person = new Visitor(port);
            assertThat(person.signIn("tern", PASSWORD)).isEqualTo("/round");
            Thread saves = new Thread(() -> save(person, n));
            people.add(saves);
            saves.start();
        }
        TimeUnit.SECONDS.sleep(4);
        kill("app1");
        TimeUnit.SECONDS.sleep(6);
        kill("db1");
        TimeUnit.SECONDS.sleep(12);
        over.set(true);
        for (Thread t : people) {
            t.join();
        }
        Map<String, Integer> there = there();
        List<String> lost =
                acknowledged.stream().filter(n -> !there.containsKey(n)).toList();
        List<String> doubled =
                there.keySet().stream().filter(n -> there.get(n) > 1).toList();
        System.out.printf(
                Locale.ROOT,
                "%,d saves acknowledged, %d asked again, longest %.1f s; not known %d, lost %d, doubled %d, signed out %d%n",
                acknowledged.size(),
                askedAgain.get(),
                longest / 1000.0,
                unknown.get(),
                lost.size(),
                doubled.size(),
                signedOut.get());
        assertThat(acknowledged).hasSizeGreaterThan(50);
        assertThat(lost).isEmpty();
        assertThat(doubled).isEmpty();
        assertThat(signedOut).hasValue(0);
    }

    private void open() throws IOException, SQLException {
        Visitor first = new Visitor(port);
        first.get("/first");
        HttpResponse<String> opened = first.post(
                "/first",
                "code",
                System.getProperty("cluster.code"),
                "nursery",
                "Gull Yard",
                "zone",
                "UTC",
                "hemisphere",
                "NORTH",
                "currency",
                "",
                "name",
                "Tern",
                "signIn",
                "tern",
                "password",
                PASSWORD);
        assertThat(opened.statusCode()).as(opened.body()).isEqualTo(302);
        first.get("/round");
        assertThat(sent(first, "Look at the first tray", UUID.randomUUID().toString()))
                .isEqualTo(302);
        assertThat(there()).containsKey("Look at the first tray");
    }

    /** Saves one after another; what is not answered is sent again as the same form, as a browser's person would. */
    private void save(Visitor person, int n) {
        person.get("/round");
        for (int i = 0; !over.get(); i++) {
            String what = "Look at tray %d-%04d".formatted(n, i);
            String form = UUID.randomUUID().toString();
            Instant begun = Instant.now();
            while (Duration.between(begun, Instant.now()).compareTo(PATIENCE) < 0) {
                int status = sent(person, what, form);
                if (status == 302) {
                    acknowledged.add(what);
                    longest = Math.max(
                            longest, Duration.between(begun, Instant.now()).toMillis());
                    break;
                }
                if (status == 401) {
                    signedOut.incrementAndGet();
                    return;
                }
                if (status == 409) {
                    // The node that took it is gone: whether it was kept is not known, and it was not said that it was.
                    unknown.incrementAndGet();
                    break;
                }
                askedAgain.incrementAndGet();
                rest();
            }
        }
    }

    /** 302 where it is acknowledged, 401 where one is no longer signed in, 0 where nobody answered. */
    private static int sent(Visitor person, String what, String form) {
        try {
            HttpResponse<String> answer = person.post(
                    "/round/reminders",
                    "once",
                    form,
                    "what",
                    what,
                    "on",
                    LocalDate.now(ZoneOffset.UTC).plusDays(30).toString());
            return Visitor.ledTo(answer).startsWith("/sign-in") ? 401 : answer.statusCode();
        } catch (IllegalStateException gone) {
            return 0;
        }
    }

    private static void rest() {
        try {
            TimeUnit.MILLISECONDS.sleep(200);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** How often each is there, as a node of the database that lives has it. */
    private Map<String, Integer> there() throws IOException, SQLException {
        String password = Files.readString(pids.resolveSibling("password")).strip();
        Map<String, Integer> there = new HashMap<>();
        try (Connection node = DriverManager.getConnection(
                        "jdbc:mariadb://127.0.0.1:" + System.getProperty("cluster.database") + "/vivarium",
                        "vivarium",
                        password);
                Statement asks = node.createStatement();
                ResultSet rows = asks.executeQuery("select what, count(*) from reminder group by what")) {
            while (rows.next()) {
                there.put(rows.getString(1), rows.getInt(2));
            }
        }
        return there;
    }

    private void kill(String node) throws IOException, InterruptedException {
        String id = Files.readString(pids.resolve(node)).strip();
        System.out.println("killing " + node);
        new ProcessBuilder("kill", "-9", id).start().waitFor();
    }
}
