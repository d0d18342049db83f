package garden.vivarium.app.door;

import garden.vivarium.app.platform.SecretToken;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Browsers in which a person has signed in before. A guesser elsewhere does not hold them up in one of these; knowing a browser
 * opens nothing by itself.
 */
@Component
class KnownBrowsers {

    /** A browser that was not seen for so long is forgotten. */
    static final Duration KEPT = Duration.ofDays(180);

    private static final int MOST = 20;

    private final JdbcClient database;
    private final Clock clock;

    KnownBrowsers(JdbcClient database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /** Whether the person has signed in there before. */
    boolean knows(UUID person, String token) {
        return database.sql("select count(*) from known_browser where token_hash = ? and person_id = ? and last_at > ?")
                        .params(
                                SecretToken.hash(token),
                                person.toString(),
                                at(clock.instant().minus(KEPT)))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** The person signed in there: known from now on, by a new token. */
    @Transactional
    String remember(UUID person, String before, String name) {
        database.sql("delete from known_browser where token_hash = ? or last_at < ?")
                .params(SecretToken.hash(before), at(clock.instant().minus(KEPT)))
                .update();
        List<String> oldest = database.sql(
                        "select token_hash from known_browser where person_id = ? order by last_at desc limit 1000 offset ?")
                .params(person.toString(), MOST - 1)
                .query(String.class)
                .list();
        if (!oldest.isEmpty()) {
            database.sql("delete from known_browser where token_hash in (:oldest)")
                    .param("oldest", oldest)
                    .update();
        }
        String token = SecretToken.make();
        LocalDateTime now = at(clock.instant());
        database.sql("insert into known_browser (token_hash, person_id, name, made_at, last_at) values (?, ?, ?, ?, ?)")
                .params(SecretToken.hash(token), person.toString(), name, now, now)
                .update();
        return token;
    }

    /** How many of the person's browsers are known. */
    int count(UUID person) {
        return database.sql("select count(*) from known_browser where person_id = ?")
                .param(person.toString())
                .query(Integer.class)
                .single();
    }

    /** None of the person's browsers is known any more. */
    @Transactional
    void forget(UUID person) {
        database.sql("delete from known_browser where person_id = ?")
                .param(person.toString())
                .update();
    }

    static LocalDateTime at(Instant instant) {
        return LocalDateTime.ofInstant(instant, ZoneOffset.UTC);
    }
}
