package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.bench.Benches;
import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.Protocols;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.PrivateDatabase;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.promise.PromiseBook;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.treatment.Treatments;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.context.ContextConfiguration;
import org.springframework.transaction.support.TransactionTemplate;

/** The application starts on what an earlier version stored, and everything that it held can be read and reckoned. */
@Order(2)
@SpringBootTest(
        properties = {"vivarium.today=" + OnDatabase.TODAY, "vivarium.scheduled=false", "vivarium.ahead.most=0"})
@ContextConfiguration(initializers = EarlierDataTest.Loads.class)
class EarlierDataTest {

    static class Loads implements ApplicationContextInitializer<ConfigurableApplicationContext> {
        @Override
        public void initialize(ConfigurableApplicationContext context) {
            PrivateDatabase db = PrivateDatabase.one();
            try (InputStream dump =
                    new GZIPInputStream(EarlierDataTest.class.getResourceAsStream("/data/nursery-format-1.sql.gz"))) {
                db.loadEarlier(dump);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            TestPropertyValues.of(
                            "spring.datasource.url=" + db.earlierUrl(),
                            "spring.datasource.username=" + db.user(),
                            "spring.datasource.password=" + db.password())
                    .applyTo(context);
        }
    }

    @Autowired
    private People people;

    @Autowired
    private CurrentNursery current;

    @Autowired
    private Benches benches;

    @Autowired
    private BatchRepository stored;

    @Autowired
    private Histories histories;

    @Autowired
    private OutlookText outlooks;

    @Autowired
    private Evidence evidence;

    @Autowired
    private JdbcClient database;

    @Autowired
    private Protocols protocols;

    @Autowired
    private PromiseBook promises;

    @Autowired
    private TransactionTemplate transaction;

    private UUID nursery;

    @BeforeEach
    void find() {
        nursery = people.nurseryOf(DemoNursery.SIGN_IN).orElseThrow();
    }

    private <T> T in(Supplier<T> work) {
        return current.workingFor(nursery, () -> transaction.execute(t -> work.get()));
    }

    @Test
    void treatmentsThatStoodAsWordsAreRead() {
        List<String> words = database.sql("select distinct treatment from batch")
                .query(String.class)
                .list();

        assertThat(words).contains("").anySatisfy(t -> assertThat(t).startsWith("HORMONE "));
        assertThat(words)
                .allSatisfy(t -> assertThat(Treatments.stored(t).code()).isEqualTo(t));
        assertThat(words).noneSatisfy(t -> assertThat(t).contains("UNREAD"));
    }

    @Test
    void talliesAreMadeAnewFromTheReadings() {
        List<Batch> all = in(() -> stored.findAll());
        assertThat(all).hasSize(198);
        Map<UUID, Evidence.Counted> counted = counted();
        for (Batch b : all.stream().filter(b -> b.stuckOn() != null).toList()) {
            Tallies kept = counted.get(b.getId()).ready();
            BatchHistory history = in(() -> histories.replay(b, histories.log(b)));
            assertThat(kept).as(b.code()).isEqualTo(history.tallies(Milestone.READY));
        }
    }

    private Map<UUID, Evidence.Counted> counted() {
        return in(() ->
                evidence.counted(stored.findAll().stream().map(Batch::getId).toList()));
    }

    @Test
    void whoOnlyReadsFindsTheSameTalliesInMemory() {
        List<UUID> ids = in(() -> stored.findAll()).stream().map(Batch::getId).toList();
        Map<UUID, Evidence.Counted> written = counted();
        Map<UUID, Evidence.Counted> held = current.workingFor(nursery, () -> evidence.counted(ids));
        assertThat(written).hasSizeGreaterThan(150);
        assertThat(ids)
                .allSatisfy(id -> assertThat(held.getOrDefault(id, Evidence.Counted.NOTHING))
                        .isEqualTo(written.getOrDefault(id, Evidence.Counted.NOTHING)));
    }

    @Test
    void whatWasSentAndWrittenOffIsToldFromWhatWaits() {
        List<Interval> all = counted().values().stream()
                .flatMap(c -> c.ready().counts().keySet().stream())
                .toList();

        assertThat(all).extracting(Interval::outcome).contains(Outcome.SENT, Outcome.GIVEN_UP, Outcome.PENDING);
        assertThat(all)
                .as("a look from above saw pieces alive later than any that could know of their roots")
                .anySatisfy(i -> {
                    assertThat(i.outcome()).isEqualTo(Outcome.PENDING);
                    assertThat(i.alive()).isGreaterThan(i.after());
                });
    }

    @Test
    void whatWasExpectedOfEveryBatchIsBroughtUp() {
        for (Batch b : in(() -> stored.findAll())) {
            Outlook outlook = outlooks.read(b.outlookText());
            assertThat(outlook.inSeason().strike().mean()).as(b.code()).isBetween(0.05, 0.99);
            assertThat(outlook.in(outlook.season().outside()).ready().day(0.5))
                    .isGreaterThanOrEqualTo(outlook.inSeason().ready().day(0.5) - 1e-9);
            SeasonFactors then = outlook.season().outside();
            assertThat(outlooks.read(outlooks.write(outlook, then)).kept(then)).isEqualTo(outlook.kept(then));
        }
    }

    @Test
    void ownProtocolsKeepTheirVersions() {
        for (int version : new int[] {1, 2, 3}) {
            int asked = version;
            assertThat(in(() -> protocols.version("own-slipway-plugs", asked))).isPresent();
        }
        Protocol newest = in(() -> protocols.current("own-slipway-plugs")).orElseThrow();
        assertThat(newest.version()).isEqualTo(3);
        assertThat(newest.course().tooLong()).isEqualTo(17);
        assertThat(in(() -> protocols.own())).extracting(Protocol::key).containsExactly("own-slipway-plugs");
    }

    @Test
    void everythingIsReckonedFromIt() {
        NurseryRecord record = in(() -> evidence.record());
        assertThat(record.spread().rho()).isBetween(0.01, 0.3);
        assertThat(record.speed().tau()).isBetween(0.02, 0.6);
        record.ways().keySet().forEach(w -> {
            double mean = in(() -> record.strike(w).mean());
            assertThat(mean).as(WayWords.of(w)).isBetween(0.02, 0.999);
        });

        assertThat(in(() -> benches.open()))
                .isNotEmpty()
                .allSatisfy(r -> assertThat(r.ribbon()).isNotNull());
        assertThat(in(() -> promises.lines()))
                .flatExtracting(l -> l.promises())
                .hasSizeGreaterThan(3)
                .allSatisfy(p -> assertThat(p.chance()).isBetween(0.0, 1.0));
    }
}
