package garden.vivarium.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.PrivateDatabase;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** An application whose database goes and comes back; and one that nobody has signed in to. */
@SpringBootTest(
        webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT,
        properties = {
            "vivarium.today=" + OnDatabase.TODAY,
            "vivarium.scheduled=false",
            "vivarium.door.free-by-address=100000",
            // As long as is waited for a connection, so long takes each page of the test.
            "spring.datasource.hikari.connection-timeout=600"
        })
class WithoutADatabaseTest {

    private static final CuttableDatabase WIRE = new CuttableDatabase(
            URI.create(PrivateDatabase.one().url().substring("jdbc:".length())).getPort());

    @DynamicPropertySource
    static void byTheWire(DynamicPropertyRegistry properties) {
        PrivateDatabase db = PrivateDatabase.one();
        properties.add("spring.datasource.url", () -> db.url().replaceFirst(":\\d+/", ":" + WIRE.port() + "/"));
        properties.add("spring.datasource.username", db::user);
        properties.add("spring.datasource.password", db::password);
    }

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Batches batches;

    @Autowired
    private Stock stock;

    @Autowired
    private Guide guide;

    private boolean cut;

    @AfterEach
    void whole() throws InterruptedException {
        if (cut || WIRE.isCut()) {
            mend();
        }
    }

    private void cut() {
        WIRE.cut();
        cut = true;
    }

    /** How long it took until a page came again. */
    private Duration mend() throws InterruptedException {
        WIRE.mend();
        cut = false;
        Instant mended = Instant.now();
        Visitor anybody = new Visitor(port);
        while (anybody.get("/health").statusCode() != 200) {
            assertThat(Duration.between(mended, Instant.now())).isLessThan(Duration.ofSeconds(30));
            TimeUnit.MILLISECONDS.sleep(100);
        }
        return Duration.between(mended, Instant.now());
    }

    @Test
    void everyAddressSaysSoSoonAndAllIsWellAfterwards() throws InterruptedException {
        Visitor grower = new Visitor(port);
        grower.signIn(Nurseries.make(people).signIn(), Nurseries.PASSWORD);
        assertThat(grower.get("/stock").statusCode()).isEqualTo(200);
        assertThat(grower.get("/health").body()).contains("\"status\":\"up\"");

        cut();
        List<String> slow = new ArrayList<>();
        for (String path : List.of("/stock", "/sign-in", "/nothing/here", "/first")) {
            Instant asked = Instant.now();
            HttpResponse<String> answer = grower.get(path);
            assertThat(answer.statusCode()).as(path).isEqualTo(503);
            assertThat(answer.body())
                    .as(path)
                    .contains("The database does not answer")
                    .contains("vivarium")
                    .doesNotContain("Exception");
            assertThat(answer.headers().firstValue("Retry-After")).contains("10");
            if (Duration.between(asked, Instant.now()).compareTo(Duration.ofSeconds(3)) > 0) {
                slow.add(path);
            }
        }
        // Not of a stopwatch, but of what is awaited: a pool that waits half a minute shows as every page.
        assertThat(slow).hasSizeLessThan(3);
        assertThat(grower.post("/stock", "plant", "Fuchsia").statusCode()).isEqualTo(503);
        assertThat(grower.send(HttpRequest.newBuilder(grower.at("/session/token"))
                                .header("Accept", "application/json")
                                .GET())
                        .body())
                .startsWith("{");
        for (Visitor who : List.of(grower, new Visitor(port))) {
            HttpResponse<String> health = who.get("/health");
            assertThat(health.statusCode()).isEqualTo(503);
            assertThat(health.body()).contains("\"status\":\"down\"").contains("\"database\":\"gone\"");
        }
        assertThat(grower.get("/favicon.svg").statusCode()).isEqualTo(200);
        assertThat(grower.get(styles(grower.get("/stock").body())).statusCode())
                .as("what is the same for everybody needs no database")
                .isEqualTo(200);

        assertThat(mend()).isLessThan(Duration.ofSeconds(10));
        assertThat(grower.get("/stock").statusCode()).as("and still signed in").isEqualTo(200);
    }

    /** Each sentence that is sent to the database on the way of a look is in turn the one at which the connection is lost. */
    @ParameterizedTest
    @CsvSource({
        "commit, true",
        "commit, false",
        "insert into, true",
        "insert into, false",
        "rollback, true",
        "update , false"
    })
    void aLookIsAnsweredAsKeptOnlyWhereItIsKept(String at, boolean comesBack) throws InterruptedException {
        Nurseries.Made made = Nurseries.make(people);
        String tray = current.workingFor(
                made.id(),
                () -> Growing.tray(
                                batches,
                                guide,
                                Growing.stockPlant(stock, "Fuchsia"),
                                4,
                                6,
                                LocalDate.parse(OnDatabase.TODAY))
                        .code());
        Visitor grower = new Visitor(port);
        grower.signIn(made.signIn(), Nurseries.PASSWORD);
        List<String> wrong = new ArrayList<>();
        boolean reached = true;
        for (int spared = 0; reached && spared < 30; spared++) {
            grower.get("/stock");
            UUID look = UUID.randomUUID();
            WIRE.cutAt(at, spared, comesBack);
            String answer;
            try {
                answer = grower.look(tray, look, OnDatabase.TODAY, 24).body();
            } catch (IllegalStateException brokenOff) {
                answer = "broken off: " + brokenOff;
            }
            int status = grower.statusLine();
            reached = !WIRE.isStillToBreak();
            mend();
            int rows = JdbcClient.create(new DriverManagerDataSource(
                            PrivateDatabase.one().url(),
                            PrivateDatabase.one().user(),
                            PrivateDatabase.one().password()))
                    .sql("select count(*) from batch_check where client_id = ?")
                    .param(look.toString())
                    .query(Integer.class)
                    .single();
            boolean isTrue = status / 100 == 2
                    ? rows == 1 && answer.contains(look.toString())
                    : status == 503 && answer.startsWith("{");
            if (!isTrue) {
                wrong.add("%s %d: %d “%s”, %d rows".formatted(at, spared, status, answer, rows));
            }
        }
        assertThat(wrong).isEmpty();
    }

    private static String styles(String page) {
        return page.replaceFirst("(?s).*<link rel=\"stylesheet\" href=\"([^\"]+)\".*", "$1");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/sign-in", "/round", "/nothing", "/password/aaaaaaaaaaaaaaaaaaaaaaaa", "/sign-in/code", "/first"
            })
    void whoOnlyLooksAtTheDoorLeavesNoSessionBehind(String path) {
        Nurseries.make(people);
        Visitor stranger = new Visitor(port);
        stranger.get(path);
        assertThat(stranger.session()).isEmpty();
    }
}
