package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;

/** How long whoever guesses waits: each try beyond the free ones doubles it, one after another or all at once. */
@OnDatabase
class BrakeTest {

    private static final int FREE = 5;
    private static final Duration LONGEST = Duration.ofMinutes(15);

    @Autowired
    private JdbcClient database;

    @Autowired
    private PlatformTransactionManager transactions;

    private final Clock clock = mock(Clock.class);
    private final Brake.Who who = new Brake.Who("name:" + UUID.randomUUID(), FREE, LONGEST);
    private Instant now = Instant.parse("2026-06-15T12:00:00Z");
    private Brake brake;

    @BeforeEach
    void atNoon() {
        when(clock.instant()).thenAnswer(call -> now);
        brake = new Brake(database, transactions, clock);
    }

    private Optional<Duration> waits() {
        return brake.tries(who);
    }

    @Test
    void theFirstTriesAreFreeAndEachFurtherOneDoublesTheWait() {
        for (int i = 0; i < FREE; i++) {
            assertThat(waits()).isEmpty();
        }
        assertThat(waits()).contains(Duration.ofSeconds(20));
        assertThat(waits()).as("asking while one waits makes it no longer").contains(Duration.ofSeconds(20));
        for (int wait : new int[] {20, 40, 80, 160, 320, 640, 900, 900}) {
            now = now.plusSeconds(wait - 1);
            assertThat(waits()).as("a second before " + wait).contains(Duration.ofSeconds(1));
            now = now.plusSeconds(1);
            assertThat(waits()).as("after " + wait).isEmpty();
        }
    }

    @Test
    void aHundredAtOnceAreNoMoreThanTheFreeOnes() throws Exception {
        ExecutorService nodes = Executors.newFixedThreadPool(8);
        try {
            List<Callable<Boolean>> guesses = IntStream.range(0, 100)
                    .mapToObj(i -> (Callable<Boolean>) () ->
                            new Brake(database, transactions, clock).tries(who).isEmpty())
                    .toList();
            int made = 0;
            for (Future<Boolean> guess : nodes.invokeAll(guesses)) {
                made += guess.get() ? 1 : 0;
            }
            assertThat(made).isBetween(1, FREE);
        } finally {
            nodes.shutdown();
        }
        assertThat(waits()).isPresent();
    }

    @Test
    void aClockThatGoesBackHoldsNobodyLongerThanTheWaitItself() {
        for (int i = 0; i < FREE; i++) {
            assertThat(waits()).isEmpty();
        }
        now = now.minus(Duration.ofDays(30));
        assertThat(waits()).contains(Duration.ofSeconds(20));
        now = now.plusSeconds(20);
        assertThat(waits()).isEmpty();
    }

    @Test
    void aSuccessAndADaysQuietForgetThem() {
        for (int i = 0; i < FREE; i++) {
            assertThat(waits()).isEmpty();
        }
        brake.forgets(who);
        assertThat(waits()).isEmpty();
        for (int i = 0; i < FREE - 1; i++) {
            assertThat(waits()).isEmpty();
        }
        assertThat(waits()).isPresent();
        now = now.plus(Duration.ofDays(1)).plusSeconds(1);
        assertThat(waits()).isEmpty();
        assertThat(waits()).isEmpty();
    }

    @Test
    void aTryThatWasTakenBackIsNotCountedAndOthersDoNotWait() {
        for (int i = 0; i < 3 * FREE; i++) {
            assertThat(waits()).isEmpty();
            brake.takesBack(who);
        }
        for (int i = 0; i < FREE; i++) {
            assertThat(waits()).isEmpty();
        }
        assertThat(waits()).isPresent();
        assertThat(brake.tries(new Brake.Who("from:" + UUID.randomUUID(), FREE, LONGEST)))
                .isEmpty();
    }
}
