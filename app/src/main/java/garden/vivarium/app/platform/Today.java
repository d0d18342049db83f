package garden.vivarium.app.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What day it is in the nursery's own zone. Name and zone of a nursery do not change, and are read once. */
@Component
public class Today {

    private final Clock clock;
    private final CurrentNursery nursery;
    private final JdbcClient database;
    private final ForAWhile<UUID, NurseryFacts> known = new ForAWhile<>(Duration.ofSeconds(20));

    Today(Clock clock, CurrentNursery nursery, JdbcClient database) {
        this.clock = clock;
        this.nursery = nursery;
        this.database = database;
    }

    /** The nursery's day. */
    public LocalDate date() {
        return LocalDate.ofInstant(clock.instant(), nursery.id().map(this::zone).orElse(ZoneId.of("UTC")));
    }

    /**
     * Refuses a day that is still to come.
     *
     * @param field the form's field
     * @throws InvalidField if it is
     */
    public void refuseFuture(String field, LocalDate day) {
        if (day.isAfter(date())) {
            throw new InvalidField(field, Messages.text("Today.still.come.give.today", "day", day));
        }
    }

    /** The nursery's day of an instant. */
    public LocalDate of(Instant instant) {
        return LocalDate.ofInstant(instant, nursery.id().map(this::zone).orElse(ZoneId.of("UTC")));
    }

    /** The instant, for records of when something was written down. */
    public Instant now() {
        return clock.instant();
    }

    /** The nursery's name, for the head of every page. */
    String nurseryName(UUID id) {
        return known(id).name();
    }

    /** The name or the zone of a nursery has changed. */
    public void forget(UUID id) {
        known.forget(id);
    }

    /** The instant of a time as the clock of the nursery shows it. */
    public Instant instant(LocalDateTime local) {
        return local.atZone(nursery.id().map(this::zone).orElse(ZoneId.of("UTC")))
                .toInstant();
    }

    /** An instant as the clock of the nursery shows it. */
    public LocalDateTime local(Instant instant) {
        return LocalDateTime.ofInstant(instant, nursery.id().map(this::zone).orElse(ZoneId.of("UTC")));
    }

    private ZoneId zone(UUID id) {
        return known(id).zone();
    }

    private record NurseryFacts(String name, ZoneId zone) {}

    private NurseryFacts known(UUID id) {
        return known.of(
                id,
                n -> database.sql("select name, zone from nursery where id = ?")
                        .param(n.toString())
                        .query((row, i) -> new NurseryFacts(row.getString("name"), ZoneId.of(row.getString("zone"))))
                        .optional()
                        .orElse(new NurseryFacts("", ZoneId.of("UTC"))));
    }
}
