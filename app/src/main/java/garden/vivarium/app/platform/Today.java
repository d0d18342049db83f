package garden.vivarium.app.platform;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What day it is in the nursery's own zone. */
@Component
public class Today {

    private final Clock clock;
    private final CurrentNursery nursery;
    private final JdbcClient database;
    private final Map<UUID, ZoneId> zones = new ConcurrentHashMap<>();

    Today(Clock clock, CurrentNursery nursery, JdbcClient database) {
        this.clock = clock;
        this.nursery = nursery;
        this.database = database;
    }

    /** The nursery's day. */
    public LocalDate date() {
        return LocalDate.ofInstant(clock.instant(), nursery.id().map(this::zone).orElse(ZoneId.of("UTC")));
    }

    /** The instant, for records of when something was written down. */
    public Instant now() {
        return clock.instant();
    }

    private ZoneId zone(UUID id) {
        return zones.computeIfAbsent(
                id,
                n -> database.sql("select zone from nursery where id = ?")
                        .param(n.toString())
                        .query(String.class)
                        .optional()
                        .map(ZoneId::of)
                        .orElse(ZoneId.of("UTC")));
    }
}
