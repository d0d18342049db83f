package garden.vivarium.app.climate;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.app.platform.Words;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps readings of the air of places; {@link AirRecord} tells them. The same reading twice is one; an hour is reckoned from its readings, a day from its hours. Readings are
 * kept as they came for some days, hours and days for good.
 */
@Service
public class Readings {

    /** A day and a half at one a minute, and some to spare. */
    static final int MOST_AT_ONCE = 3000;

    private static final int AT_ONCE_IN_FILES = 200_000;
    private static final Duration AHEAD = Duration.ofMinutes(10);
    private static final int YEARS = 10;
    private static final int CHUNK = 1000;

    private final JdbcTemplate database;
    private final AirRecord record;
    private final CurrentNursery nursery;
    private final Today today;
    private final Words words;

    Readings(JdbcTemplate database, AirRecord record, CurrentNursery nursery, Today today, Words words) {
        this.database = database;
        this.record = record;
        this.nursery = nursery;
        this.today = today;
        this.words = words;
    }

    /**
     * A place that is another nursery's, or nobody's, has no readings and no logger here.
     *
     * @throws InvalidField if it is not this nursery's
     */
    void refuseUnknown(UUID place) {
        Integer ours = database.queryForObject(
                "select count(*) from place where id = ? and nursery_id = ?",
                Integer.class,
                place.toString(),
                nursery.required().toString());
        if (ours == null || ours == 0) {
            throw new InvalidField("place", Messages.text("Readings.no.place"));
        }
    }

    /**
     * Keeps readings of a place of this nursery.
     *
     * @return how many were new
     * @throws InvalidField if one cannot be, or the place is not this nursery's
     */
    @Transactional
    public int keep(UUID place, Collection<Reading> readings) {
        if (readings.size() > AT_ONCE_IN_FILES) {
            throw new InvalidField("readings", Messages.text("Readings.many", "most", AT_ONCE_IN_FILES));
        }
        UUID of = nursery.required();
        refuseUnknown(place);
        Instant latest = today.now().plus(AHEAD);
        Instant earliest = today.now().minus(366L * YEARS, ChronoUnit.DAYS);
        readings.forEach(r -> {
            if (r == null || !r.isBelievable() || r.at().isAfter(latest) || r.at().isBefore(earliest)) {
                throw new InvalidField(
                        "readings",
                        words.say(
                                "Readings.unbelievable",
                                "at",
                                r == null ? "" : String.valueOf(r.at()),
                                "warmth",
                                Reading.BELIEVED));
            }
        });
        if (readings.isEmpty()) {
            return 0;
        }
        SortedSet<Instant> hours = readings.stream()
                .map(r -> r.at().truncatedTo(ChronoUnit.HOURS))
                .collect(Collectors.toCollection(TreeSet::new));
        long before = count(of, place, hours);
        database.batchUpdate(
                "insert ignore into air_reading (nursery_id, place_id, read_at, warmth, humidity, light)"
                        + " values (?, ?, ?, ?, ?, ?)",
                readings,
                CHUNK,
                (row, r) -> {
                    row.setString(1, of.toString());
                    row.setString(2, place.toString());
                    row.setTimestamp(3, AirRecord.at(r.at().truncatedTo(ChronoUnit.SECONDS)));
                    row.setDouble(4, r.warmth());
                    row.setObject(5, r.humidity());
                    row.setObject(6, r.light());
                });
        reckon(of, place, hours);
        return (int) (count(of, place, hours) - before);
    }

    private long count(UUID of, UUID place, SortedSet<Instant> hours) {
        Long rows = database.queryForObject(
                "select count(*) from air_reading where place_id = ? and nursery_id = ? and read_at >= ? and read_at < ?",
                Long.class,
                place.toString(),
                of.toString(),
                AirRecord.at(hours.first()),
                AirRecord.at(hours.last().plus(1, ChronoUnit.HOURS)));
        return rows == null ? 0 : rows;
    }

    /**
     * Keeps a reading in place of whatever was read there at that minute: what was typed wrong is typed again.
     *
     * @throws InvalidField as for others
     */
    @Transactional
    public void put(UUID place, Reading reading) {
        if (reading.at() != null) {
            database.update(
                    "delete from air_reading where nursery_id = ? and place_id = ? and read_at = ?",
                    nursery.required().toString(),
                    place.toString(),
                    AirRecord.at(reading.at().truncatedTo(ChronoUnit.SECONDS)));
        }
        keep(place, List.of(reading));
    }

    /** For how many days readings are kept as they came. */
    @Transactional(readOnly = true)
    public int rawDays() {
        Integer days = database.queryForObject(
                "select raw_days from nursery where id = ?",
                Integer.class,
                nursery.required().toString());
        return days == null ? 14 : days;
    }

    private void reckon(UUID of, UUID place, SortedSet<Instant> hours) {
        // An hour of which fewer readings are left than it was reckoned from stays as it is: its readings have gone.
        database.update(
                "insert into air_hour (nursery_id, place_id, hour, number, coldest, mean, warmest, humidity, driest, light)"
                        + " select r.nursery_id, r.place_id, h, n, lo, av, hi, hu, dr, li from ("
                        + "select nursery_id, place_id, cast(date_format(read_at, '%Y-%m-%d %H:00:00') as datetime) h, count(*) n,"
                        + " min(warmth) lo, avg(warmth) av, max(warmth) hi, avg(humidity) hu, min(humidity) dr, avg(light) li"
                        + " from air_reading where place_id = ? and nursery_id = ? and read_at >= ? and read_at < ?"
                        + " group by nursery_id, place_id, h) r"
                        + " on duplicate key update"
                        + " coldest = if(n >= number, lo, coldest), mean = if(n >= number, av, mean),"
                        + " warmest = if(n >= number, hi, warmest), humidity = if(n >= number, hu, humidity),"
                        + " driest = if(n >= number, dr, driest), light = if(n >= number, li, light),"
                        + " number = greatest(number, n)",
                place.toString(),
                of.toString(),
                AirRecord.at(hours.first()),
                AirRecord.at(hours.last().plus(1, ChronoUnit.HOURS)));
        Set<LocalDate> days = hours.stream().map(today::of).collect(Collectors.toCollection(TreeSet::new));
        days.forEach(day -> reckonDay(of, place, day));
    }

    /** A day is as long here as it is where the nursery is. */
    private void reckonDay(UUID of, UUID place, LocalDate day) {
        List<HourView> hours = record
                .hours(
                        place,
                        day.minusDays(1).atStartOfDay().toInstant(ZoneOffset.UTC),
                        day.plusDays(2).atStartOfDay().toInstant(ZoneOffset.UTC))
                .stream()
                .filter(h -> today.of(h.at()).equals(day))
                .toList();
        if (hours.isEmpty()) {
            return;
        }
        database.update(
                "replace into air_day (nursery_id, place_id, day, hours, coldest, mean, warmest, humidity, light)"
                        + " values (?, ?, ?, ?, ?, ?, ?, ?, ?)",
                of.toString(),
                place.toString(),
                day,
                hours.size(),
                hours.stream().mapToDouble(HourView::coldest).min().orElseThrow(),
                hours.stream().mapToDouble(HourView::mean).average().orElseThrow(),
                hours.stream().mapToDouble(HourView::warmest).max().orElseThrow(),
                average(hours.stream().map(HourView::humidity).toList()),
                average(hours.stream().map(HourView::light).toList()));
    }

    private static Double average(List<Double> values) {
        List<Double> known = values.stream().filter(v -> v != null).toList();
        return known.isEmpty()
                ? null
                : known.stream().mapToDouble(v -> v).average().orElseThrow();
    }

    /**
     * Lets all that was read at a place go, from one hour to before another: an instrument that lay in the sun, a file of another place.
     *
     * @return how many hours went
     */
    @Transactional
    public int strike(UUID place, Instant from, Instant to) {
        Instant first = from.truncatedTo(ChronoUnit.HOURS);
        if (!first.isBefore(to)) {
            throw new InvalidField("strikeTo", Messages.text("Readings.strike"));
        }
        UUID of = nursery.required();
        database.update(
                "delete from air_reading where nursery_id = ? and place_id = ? and read_at >= ? and read_at < ?",
                of.toString(),
                place.toString(),
                AirRecord.at(first),
                AirRecord.at(to));
        int hours = database.update(
                "delete from air_hour where nursery_id = ? and place_id = ? and hour >= ? and hour < ?",
                of.toString(),
                place.toString(),
                AirRecord.at(first),
                AirRecord.at(to));
        LocalDate last = today.of(to.minusSeconds(1));
        database.update(
                "delete from air_day where nursery_id = ? and place_id = ? and day >= ? and day <= ?",
                of.toString(),
                place.toString(),
                today.of(first),
                last);
        // Of the first and the last day some hours may be left.
        reckonDay(of, place, today.of(first));
        reckonDay(of, place, last);
        return hours;
    }

    /** Lets readings go that are older than this nursery keeps them as they came; what they came to by hour and day stays. */
    @Transactional
    public int prune() {
        return database.update(
                "delete from air_reading where nursery_id = ? and read_at < ?",
                nursery.required().toString(),
                AirRecord.at(today.now().minus(rawDays(), ChronoUnit.DAYS)));
    }

    /**
     * Says where on the globe the nursery is, and how long readings are kept as they came.
     *
     * @throws InvalidField if there is no such place, or it is no such time
     */
    @Transactional
    public void isAt(Double latitude, int rawDays) {
        if (latitude != null && !(Math.abs(latitude) <= 90)) {
            throw new InvalidField("latitude", Messages.text("Readings.latitude"));
        }
        if (rawDays < 2 || rawDays > 3660) {
            throw new InvalidField("rawDays", Messages.text("Readings.raw.days"));
        }
        database.update(
                "update nursery set latitude = ?, raw_days = ? where id = ?",
                latitude,
                rawDays,
                nursery.required().toString());
    }
}
