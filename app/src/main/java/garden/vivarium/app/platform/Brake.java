package garden.vivarium.app.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Slows down whoever guesses. A try is counted before it is made, so that many at once are no more than many one after another:
 * after some free ones each further one doubles the wait for the next, up to a longest. A success, or a day's quiet, forgets
 * them. Kept in the database under a lock, so that no node can be played off against another.
 */
@Component
public class Brake {

    private static final Duration FIRST_WAIT = Duration.ofSeconds(20);
    private static final Duration FORGET_AFTER = Duration.ofDays(1);
    private static final int AGAIN = 5;

    private final JdbcClient database;
    private final TransactionTemplate own;
    private final Clock clock;

    Brake(JdbcClient database, PlatformTransactionManager transactions, Clock clock) {
        this.database = database;
        this.own = new TransactionTemplate(transactions);
        this.own.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
    }

    /**
     * Of what is slowed down.
     *
     * @param who name, address or browser that tries
     * @param free tries before the first wait
     * @param longest wait
     */
    public record Who(String who, int free, Duration longest) {

        private Duration waitAfter(int tries) {
            int over = tries - free;
            if (over < 0) {
                return Duration.ZERO;
            }
            Duration wait = FIRST_WAIT.multipliedBy(1L << Math.min(over, 10));
            return wait.compareTo(longest) > 0 ? longest : wait;
        }
    }

    /** How long somebody has to wait yet, as it is told to them: not shorter than it is. */
    public static String said(Duration wait) {
        long seconds = wait.plusMillis(999).toSeconds();
        long minutes = seconds < 100 ? 0 : seconds / 60;
        long rest = seconds - 60 * minutes;
        return Messages.text(
                "Brake.wait", "minutes", minutes, "seconds", rest, "both", minutes > 0 && rest > 0 ? "yes" : "no");
    }

    private record Tries(int failures, Instant last) {

        static final Tries NONE = new Tries(0, Instant.EPOCH);
    }

    /** Counts a try. Empty where it may be made; else how long to wait, and then it is not counted. */
    public Optional<Duration> tries(Who who) {
        for (int i = 0; i < AGAIN; i++) {
            try {
                return own.execute(t -> counted(who));
            } catch (TransientDataAccessException lost) {
                // Somebody else was at it in the same moment; the lock is free again.
            }
        }
        return Optional.of(FIRST_WAIT);
    }

    private Optional<Duration> counted(Who who) {
        Instant now = clock.instant();
        database.sql("insert into sign_in_attempt (who, failures, last_at) values (?, 0, ?)"
                        // Locks the row for writing at once: who only shared it first would wait for each other.
                        + " on duplicate key update who = values(who)")
                .params(who.who(), at(now))
                .update();
        Tries before = database.sql("select failures, last_at from sign_in_attempt where who = ? for update")
                .param(who.who())
                .query((row, i) -> new Tries(
                        row.getInt(1), row.getObject(2, LocalDateTime.class).toInstant(ZoneOffset.UTC)))
                .optional()
                .orElse(Tries.NONE);
        // A clock that went back must not hold anybody longer than the wait itself.
        boolean isAhead = before.last().isAfter(now);
        Instant last = isAhead ? now : before.last();
        int failures = last.plus(FORGET_AFTER).isBefore(now) ? 0 : before.failures();
        Duration left = Duration.between(now, last.plus(who.waitAfter(failures)));
        boolean waits = left.compareTo(Duration.ZERO) > 0;
        if (!waits || isAhead) {
            database.sql("update sign_in_attempt set failures = ?, last_at = ? where who = ?")
                    .params(waits ? failures : failures + 1, at(now), who.who())
                    .update();
        }
        return waits ? Optional.of(left) : Optional.empty();
    }

    /** A try came to nothing wrong: it is not counted after all. */
    public void takesBack(Who who) {
        quietly(() -> database.sql("update sign_in_attempt set failures = greatest(0, failures - 1) where who = ?")
                .param(who.who())
                .update());
    }

    /** All tries are forgotten, and with them those of a day ago. */
    public void forgets(Who who) {
        quietly(() -> database.sql("delete from sign_in_attempt where who = ?")
                .param(who.who())
                .update());
        quietly(() -> database.sql("delete from sign_in_attempt where last_at < ? limit 1000")
                .param(at(clock.instant().minus(FORGET_AFTER)))
                .update());
    }

    private void quietly(Runnable change) {
        try {
            own.executeWithoutResult(t -> change.run());
        } catch (TransientDataAccessException lost) {
            // Then a try more is counted than there was; it is forgotten in a day.
        }
    }

    private static LocalDateTime at(Instant instant) {
        return LocalDateTime.ofInstant(instant, ZoneOffset.UTC);
    }
}
