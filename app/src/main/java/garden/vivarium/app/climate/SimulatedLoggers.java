package garden.vivarium.app.climate;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.simulate.PlaceWeather;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Stand-ins for instruments, in the sample nursery alone: they read made-up places every ten minutes, make up for the time in which nothing
 * ran, let a lid be lifted at times, and now and then fall silent for some hours.
 */
@Component
@ConditionalOnProperty("vivarium.demo")
public class SimulatedLoggers {

    private static final Duration EVERY = Duration.ofMinutes(10);
    private static final int DAYS_MADE_UP = 21;

    private final Readings readings;
    private final AirRecord record;
    private final CurrentNursery nursery;
    private final Today today;
    private final Map<UUID, Simulated> running = new ConcurrentHashMap<>();

    SimulatedLoggers(Readings readings, AirRecord record, CurrentNursery nursery, Today today) {
        this.readings = readings;
        this.record = record;
        this.nursery = nursery;
        this.today = today;
    }

    /**
     * One of them.
     *
     * @param nursery whose
     * @param weather of its place
     * @param lidded whether it stands under a lid that is lifted at times
     */
    private record Simulated(UUID nursery, PlaceWeather weather, boolean lidded) {}

    /** Reads a place of the current nursery from now on, and for the weeks before. */
    public void read(UUID place, PlaceWeather weather, boolean lidded) {
        running.put(place, new Simulated(nursery.required(), weather, lidded));
        catchUp(place);
    }

    /** Reads all of them. */
    @Scheduled(fixedDelay = 10, initialDelay = 10, timeUnit = TimeUnit.MINUTES)
    void readAll() {
        running.forEach((place, s) -> nursery.workingFor(s.nursery(), () -> {
            catchUp(place);
            return readings.prune();
        }));
    }

    private void catchUp(UUID place) {
        Simulated simulated = running.get(place);
        Instant now = today.now().truncatedTo(ChronoUnit.MINUTES);
        Instant from = record.last(place)
                .map(r -> r.at().plus(EVERY))
                .orElse(now.minus(DAYS_MADE_UP, ChronoUnit.DAYS).truncatedTo(ChronoUnit.HOURS));
        List<Reading> read = new ArrayList<>();
        for (Instant at = from; !at.isAfter(now); at = at.plus(EVERY)) {
            LocalDateTime minute = at.atOffset(ZoneOffset.UTC).toLocalDateTime();
            long day = minute.toLocalDate().toEpochDay();
            boolean silent = day % 9 == 3 && minute.getHour() >= 10 && minute.getHour() < 14;
            if (!silent) {
                PlaceWeather.Reading r = simulated.weather().at(minute);
                boolean lifted = simulated.lidded() && day % 5 == 2 && minute.getHour() == 11;
                read.add(new Reading(
                        at,
                        Math.round(10 * r.warmth()) / 10.0,
                        (double) Math.round(lifted ? r.humidity() - 25 : r.humidity()),
                        Math.round(100 * r.light()) / 100.0));
            }
        }
        if (!read.isEmpty()) {
            readings.keep(place, read);
        }
    }
}
