package garden.vivarium.app.climate;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SecretToken;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.platform.Today;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Instruments that send readings, each with a token of its own. */
@Service
class Loggers {

    private static final int MOST = 100;

    private final LoggerRepository loggers;
    private final CurrentNursery nursery;
    private final Today today;
    private final JdbcClient database;

    Loggers(LoggerRepository loggers, CurrentNursery nursery, Today today, JdbcClient database) {
        this.loggers = loggers;
        this.nursery = nursery;
        this.today = today;
        this.database = database;
    }

    /** A logger as the page lists it; its token is not kept. */
    record View(UUID id, UUID place, String name, Instant lastSeen) {}

    /**
     * Makes one for a place.
     *
     * @return its token, which is not kept and cannot be shown again
     * @throws InvalidField if it has no name, or there are many already
     */
    @Transactional
    String make(UUID place, String name) {
        if (name == null || name.isBlank() || name.strip().length() > 80) {
            throw new InvalidField("name", Messages.text("Loggers.name"));
        }
        if (list().size() >= MOST) {
            throw new InvalidField("name", Messages.text("Loggers.many", "most", MOST));
        }
        String token = SecretToken.make();
        Logger made = new Logger(place, name.strip(), SecretToken.hash(token));
        made.by(nursery.person().map(SignedIn::name).orElse("Vivarium"), today.now());
        loggers.save(made);
        return token;
    }

    /** Those that may send. */
    @Transactional(readOnly = true)
    List<View> list() {
        return loggers.findAllByOrderByNameAsc().stream()
                .filter(l -> !l.isWithdrawn())
                .map(l -> new View(l.getId(), l.placeId(), l.name(), l.lastSeen()))
                .toList();
    }

    /** Nothing more is taken from it. */
    @Transactional
    void withdraw(UUID id) {
        loggers.findById(id)
                .orElseThrow(() -> new NotFound(Messages.text("Loggers.no.such.logger")))
                .withdraw(today.now());
    }

    /** What a token opens. */
    record Opened(UUID nursery, UUID place, String hash) {}

    /** Which place a token sends for; it is asked before anybody's nursery is known. */
    Optional<Opened> opened(String token) {
        String hash = SecretToken.hash(token);
        return database.sql("select nursery_id, place_id from logger where token_hash = ? and withdrawn_at is null")
                .param(hash)
                .query((row, i) -> new Opened(
                        UUID.fromString(row.getString("nursery_id")), UUID.fromString(row.getString("place_id")), hash))
                .optional();
    }

    /** It was heard of just now. */
    void heard(String hash) {
        database.sql("update logger set last_seen = ? where token_hash = ?")
                .param(Timestamp.valueOf(today.now().atOffset(ZoneOffset.UTC).toLocalDateTime()))
                .param(hash)
                .update();
    }
}
