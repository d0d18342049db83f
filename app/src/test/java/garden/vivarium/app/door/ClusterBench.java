package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.photo.Pictures;
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
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Four people save through the proxy of a cluster for trial while a node of the application and a node of the database are killed.
 * What was acknowledged is there once; nobody has to sign in again. Printed, and asserted.
 */
@EnabledIfSystemProperty(named = "vivarium.bench", matches = "cluster")
class ClusterBench {

    private static final int TRAYS = 6;
    private static final String PASSWORD = "sand eels at dawn";

    private final int port = Integer.getInteger("cluster.port");
    private final Path pids = Path.of(System.getProperty("cluster.pids"));

    @Test
    void nodesDieWhilePeopleSave() throws Exception {
        Visitor first = open();
        for (int i = 0; i < TRAYS; i++) {
            first.get("/stands");
            first.post(
                    "/stands",
                    "plant",
                    "Fuchsia",
                    "when",
                    "3 weeks ago",
                    "pieces",
                    "24",
                    "method",
                    "",
                    "medium",
                    "",
                    "place",
                    "Bench " + i);
        }
        List<String> trays = trays();
        assertThat(trays).hasSize(TRAYS);
        Saving saving = new Saving("Look at tray");
        for (int i = 0; i < 4; i++) {
            Visitor person = new Visitor(port);
            assertThat(person.signIn("tern", PASSWORD)).isEqualTo("/round");
            // A form is sent from a page: that of the door has gone with signing in.
            assertThat(person.get("/stock").statusCode()).isEqualTo(200);
            saving.by(person, List.of(trays.get(i)), Duration.ZERO);
        }
        byte[] picture = Pictures.file("jpeg", 640, 480);
        Phone phone = new Phone("http://127.0.0.1:" + port, "tern", PASSWORD, trays.subList(4, 6), picture);
        TimeUnit.SECONDS.sleep(4);
        kill("app1");
        TimeUnit.SECONDS.sleep(6);
        kill("db1");
        TimeUnit.SECONDS.sleep(12);
        Phone.Outcome phoned = phone.end();
        saving.end();
        saving.heldToBeKept(phoned.letGo());
        saving.heldToBeKept(phoned.photosLetGo());
        Saving.Outcome outcome = saving.outcome(database(), password());
        System.out.println(saving.said(outcome));
        assertThat(outcome.acknowledged()).isGreaterThan(50);
        assertThat(outcome.lost()).isEmpty();
        assertThat(outcome.doubled()).isEmpty();
        assertThat(outcome.signedOut()).isZero();
        assertThat(outcome.refused()).isEmpty();
        assertThat(phoned.refused()).isEmpty();
        assertThat(phoned.letGo()).isNotEmpty();
    }

    private Visitor open() {
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
        // The round of a nursery just opened leads to the welcome: a form is sent from a page.
        first.get("/stock");
        assertThat(Saving.remind(first, "Look at the first tray", UUID.randomUUID()))
                .isEqualTo(302);
        return first;
    }

    private List<String> trays() throws IOException, SQLException {
        List<String> codes = new ArrayList<>();
        try (Connection c = DriverManager.getConnection(database(), "vivarium", password());
                Statement asks = c.createStatement();
                ResultSet rows = asks.executeQuery("select code from batch where stuck = 24 order by code")) {
            while (rows.next()) {
                codes.add(rows.getString(1));
            }
        }
        return codes;
    }

    private static String database() {
        return "jdbc:mariadb://127.0.0.1:" + System.getProperty("cluster.database") + "/vivarium";
    }

    private String password() throws IOException {
        return Files.readString(pids.resolveSibling("password")).strip();
    }

    private void kill(String node) throws IOException, InterruptedException {
        String id = Files.readString(pids.resolve(node)).strip();
        System.out.println("killing " + node);
        new ProcessBuilder("kill", "-9", id).start().waitFor();
    }
}
