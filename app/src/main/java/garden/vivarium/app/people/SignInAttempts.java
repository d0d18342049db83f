package garden.vivarium.app.people;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing. After a few failures each further one doubles the wait, up to a quarter of an hour; a success or a
 * day's quiet forgets them. Kept in the database, so that no node can be played off against another.
 */
@Component
class SignInAttempts {

    private static final Duration FIRST_WAIT = Duration.ofSeconds(20);
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(15);
    private static final Duration FORGET_AFTER = Duration.ofDays(1);

    private final JdbcClient database;
    private final Clock clock;

    SignInAttempts(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** Whether {@code who} has to wait, given how many failures are free. */
    boolean mustWait(String who, int free) {
        return database.sql("select failures, last_at from sign_in_attempt where who = ?")
                .param(who)
                .query((row, i) -> {
                    Instant last = row.getObject("last_at", LocalDateTime.class).toInstant(ZoneOffset.UTC);
                    return clock.instant().isBefore(last.plus(waitAfter(row.getInt("failures"), free)));
                })
                .optional()
                .orElse(false);
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void failed(String who) {
        LocalDateTime now = LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
        database.sql("delete from sign_in_attempt where last_at < ?")
                .param(now.minus(FORGET_AFTER))
                .update();
        database.sql("insert into sign_in_attempt (who, failures, last_at) values (?, 1, ?)"
                        + " on duplicate key update failures = failures + 1, last_at = values(last_at)")
                .param(who)
                .param(now)
                .update();
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    void succeeded(String who) {
        database.sql("delete from sign_in_attempt where who = ?").param(who).update();
    }

    private static Duration waitAfter(int failures, int free) {
        int over = failures - free;
        if (over < 0) {
            return Duration.ZERO;
        }
        Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(over, 10));
        return wait.compareTo(LONGEST_WAIT) > 0 ? LONGEST_WAIT : wait;
    }
}
