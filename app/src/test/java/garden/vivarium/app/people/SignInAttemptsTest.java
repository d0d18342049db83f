package garden.vivarium.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import garden.vivarium.app.platform.OnDatabase;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;

/** How long whoever guesses waits: each failure beyond the free ones doubles it. */
@OnDatabase
class SignInAttemptsTest {

    private static final int FREE = 5;

    @Autowired
    private JdbcClient database;

    private final Clock clock = mock(Clock.class);
    private final String who = "name:" + UUID.randomUUID();
    private Instant now = Instant.parse("2026-06-15T12:00:00Z");
    private SignInAttempts attempts;

    @BeforeEach
    void atNoon() {
        when(clock.instant()).thenAnswer(call -> now);
        attempts = new SignInAttempts(database, clock);
    }

    @Test
    void theFirstFailuresAreFreeAndEachFurtherOneDoublesTheWait() {
        fail(FREE - 1);
        assertThat(attempts.mustWait(who, FREE)).isFalse();
        fail(1);
        assertWait(Duration.ofSeconds(20));
        fail(1);
        assertWait(Duration.ofSeconds(40));
        fail(1);
        assertWait(Duration.ofSeconds(80));
        fail(20);
        assertWait(Duration.ofMinutes(15));
    }

    @Test
    void anotherNameOrAddressDoesNotWait() {
        fail(FREE + 3);
        assertThat(attempts.mustWait("from:192.0.2.1", FREE)).isFalse();
        assertThat(attempts.mustWait(who, FREE + 4))
                .as("an address has more that are free")
                .isFalse();
    }

    @Test
    void aSuccessAndADaysQuietForgetThem() {
        fail(FREE);
        attempts.succeeded(who);
        assertThat(attempts.mustWait(who, FREE)).isFalse();
        fail(FREE);
        now = now.plus(Duration.ofDays(1)).plusSeconds(1);
        attempts.failed("name:" + UUID.randomUUID());
        fail(FREE - 1);
        assertThat(attempts.mustWait(who, FREE)).as("the old ones are gone").isFalse();
    }

    private void fail(int times) {
        for (int i = 0; i < times; i++) {
            attempts.failed(who);
        }
    }

    private void assertWait(Duration wait) {
        Instant failed = now;
        now = failed.plus(wait).minusSeconds(1);
        assertThat(attempts.mustWait(who, FREE)).as("a second before " + wait).isTrue();
        now = failed.plus(wait);
        assertThat(attempts.mustWait(who, FREE)).as("after " + wait).isFalse();
        now = failed;
    }
}
