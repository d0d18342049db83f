package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.photo.Pictures;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * People save looks, forms, photographs and files at the sample nursery while the application, its database, or both are killed again and again, and started
 * again by the start command. What was acknowledged is there once and whole. By clients that believe the status
 * line alone, and by the real outbox. Printed, and asserted.
 */
@EnabledIfSystemProperty(named = "vivarium.bench", matches = "kills")
class KillsBench {

    private static final int KILLS = Integer.getInteger("kills.number", 100);
    private static final int PEOPLE = 3;
    private static final Duration RETURNS = Duration.ofMinutes(2);

    private final Path data = Path.of(System.getProperty("kills.data"));
    private final int port = Integer.getInteger("kills.port");
    private final Random random = new Random(20_261_127);
    private final Map<String, List<Long>> away = new TreeMap<>();

    @Test
    void nothingThatWasAcknowledgedIsLost() throws Exception {
        List<String> trays = trays();
        assertThat(trays).hasSizeGreaterThanOrEqualTo(PEOPLE);
        Saving saving = new Saving("Turn tray");
        for (int i = 0; i < PEOPLE; i++) {
            int n = i;
            Visitor person = signedIn();
            List<String> own = new ArrayList<>(trays);
            own.removeIf(t -> trays.indexOf(t) % PEOPLE != n);
            saving.by(person, own, Duration.ofMillis(120));
        }
        byte[] picture = Pictures.file("jpeg", 640, 480);
        saving.photographsBy(signedIn(), trays, picture, Duration.ofMillis(400));
        saving.importsBy(signedIn(), Duration.ofMillis(700));
        Phone phone = new Phone("http://127.0.0.1:" + port, "wren", "low tide at noon", trays, picture);
        for (int kill = 0; kill < KILLS; kill++) {
            // Up for some seconds each time: what is saved while all is well has to be there too.
            TimeUnit.MILLISECONDS.sleep(1000 + random.nextInt(4000));
            int lot = random.nextInt(30);
            String what = lot < 10 ? "application" : lot < 27 ? "database" : "both";
            Map<String, String> ended = new TreeMap<>();
            if (!what.equals("database")) {
                ended.put("app.pid", kill("app.pid"));
            }
            if (!what.equals("application")) {
                ended.put("pid", kill("pid"));
            }
            away.computeIfAbsent(what, w -> new ArrayList<>()).add(untilItAnswers(what, ended));
            if ((kill + 1) % 10 == 0) {
                System.out.printf("%d kills%n", kill + 1);
            }
        }
        TimeUnit.SECONDS.sleep(2);
        Phone.Outcome phoned = phone.end();
        saving.end();
        saving.heldToBeKept(phoned.letGo());
        saving.heldToBeKept(phoned.photosLetGo());
        System.out.printf(
                "by the outbox: %d checks typed, %d let go of and %d photographs, %d still held, %d refused%n",
                phoned.checks().size(),
                phoned.letGo().size(),
                phoned.photosLetGo().size(),
                phoned.held().size(),
                phoned.refused().size());
        away.forEach((what, took) -> {
            Collections.sort(took);
            System.out.printf(
                    Locale.ROOT,
                    "%s killed %d times: answers again after %.1f s (median), %.1f s at the longest%n",
                    what,
                    took.size(),
                    took.get(took.size() / 2) / 1000.0,
                    took.get(took.size() - 1) / 1000.0);
        });
        Saving.Outcome outcome = saving.outcome(database(), password());
        System.out.println(saving.said(outcome));
        assertThat(outcome.acknowledged()).isGreaterThan(4 * KILLS);
        assertThat(outcome.lost()).isEmpty();
        assertThat(outcome.doubled()).isEmpty();
        assertThat(outcome.halves()).isZero();
        assertThat(outcome.signedOut()).isZero();
        assertThat(outcome.refused()).isEmpty();
        assertThat(phoned.refused()).isEmpty();
        assertThat(phoned.letGo()).hasSizeGreaterThan(KILLS);
    }

    private Visitor signedIn() {
        Visitor person = new Visitor(port);
        assertThat(person.signIn("wren", "low tide at noon")).isEqualTo("/round");
        person.get("/stock");
        return person;
    }

    /** Codes of running trays. */
    private List<String> trays() throws IOException, SQLException {
        List<String> codes = new ArrayList<>();
        try (Connection c = DriverManager.getConnection(database(), "vivarium", password());
                Statement asks = c.createStatement();
                ResultSet rows = asks.executeQuery(
                        "select b.code from batch b join membership m on m.nursery_id = b.nursery_id join person p on p.id = m.person_id"
                                + " where p.sign_in = 'wren' and b.closed_on is null and b.stuck >= 24 and b.lost = 0 and b.sent = 0 and b.moved = 0 and b.ready = 0 and b.first_sign = 0"
                                + " order by b.code")) {
            while (rows.next()) {
                codes.add(rows.getString(1));
            }
        }
        return codes;
    }

    private static String database() {
        return "jdbc:mariadb://127.0.0.1:" + System.getProperty("kills.database") + "/vivarium";
    }

    private String password() throws IOException {
        return Files.readString(data.resolve("password")).strip();
    }

    /** Ends a process, and gives its id. */
    private String kill(String of) throws IOException, InterruptedException {
        String id = Files.readString(data.resolve(of)).strip();
        new ProcessBuilder("kill", "-9", id).start().waitFor();
        return id;
    }

    /** Milliseconds until others run in place of those that ended, and /health says that all is up. */
    private long untilItAnswers(String what, Map<String, String> ended) throws IOException, InterruptedException {
        Instant killed = Instant.now();
        Visitor anybody = new Visitor(port);
        while (Duration.between(killed, Instant.now()).compareTo(RETURNS) < 0) {
            if (othersRun(ended) && isUp(anybody)) {
                return Duration.between(killed, Instant.now()).toMillis();
            }
            TimeUnit.MILLISECONDS.sleep(50);
        }
        throw new AssertionError(what + " did not come back within " + RETURNS);
    }

    private boolean othersRun(Map<String, String> ended) throws IOException {
        for (Map.Entry<String, String> e : ended.entrySet()) {
            Path file = data.resolve(e.getKey());
            String now = Files.exists(file) ? Files.readString(file).strip() : "";
            if (now.isEmpty() || now.equals(e.getValue())) {
                return false;
            }
        }
        return true;
    }

    private static boolean isUp(Visitor anybody) {
        try {
            return anybody.get("/health").statusCode() == 200;
        } catch (IllegalStateException nobodyAnswers) {
            return false;
        }
    }
}
