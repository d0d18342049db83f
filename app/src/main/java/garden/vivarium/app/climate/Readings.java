package garden.vivarium.app.climate;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.watch.AirWatch;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Readings of the air of places. The same reading twice is one; an hour is reckoned from its readings, a day from its hours. Readings are
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
    private final NamedParameterJdbcTemplate named;
    private final CurrentNursery nursery;
    private final Today today;

    Readings(JdbcTemplate database, CurrentNursery nursery, Today today) {
        this.database = database;
        this.named = new NamedParameterJdbcTemplate(database);
        this.nursery = nursery;
        this.today = today;
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
                        Messages.text("Readings.unbelievable", "at", r == null ? "" : String.valueOf(r.at())));
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
                    row.setTimestamp(3, at(r.at().truncatedTo(ChronoUnit.SECONDS)));
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
                at(hours.first()),
                at(hours.last().plus(1, ChronoUnit.HOURS)));
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
                    at(reading.at().truncatedTo(ChronoUnit.SECONDS)));
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
                at(hours.first()),
                at(hours.last().plus(1, ChronoUnit.HOURS)));
        Set<LocalDate> days = hours.stream().map(today::of).collect(Collectors.toCollection(TreeSet::new));
        days.forEach(day -> reckonDay(of, place, day));
    }

    /** A day is as long here as it is where the nursery is. */
    private void reckonDay(UUID of, UUID place, LocalDate day) {
        List<HourView> hours = hours(
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

    /** Hours of a place from one instant to before another, the oldest first. */
    @Transactional(readOnly = true)
    public List<HourView> hours(UUID place, Instant from, Instant to) {
        return database.query(
                "select hour, coldest, mean, warmest, humidity, light from air_hour where nursery_id = ? and place_id = ?"
                        + " and hour >= ? and hour < ? order by hour",
                (row, i) -> hour(row),
                nursery.required().toString(),
                place.toString(),
                at(from),
                at(to));
    }

    /** The same of all places of this nursery, for those that have any. */
    @Transactional(readOnly = true)
    public Map<UUID, List<HourView>> hours(Instant from, Instant to) {
        return hours(places(), from, to);
    }

    /** The same of some places. */
    @Transactional(readOnly = true)
    public Map<UUID, List<HourView>> hours(Collection<String> places, Instant from, Instant to) {
        Map<UUID, List<HourView>> all = new HashMap<>();
        if (places.isEmpty()) {
            return all;
        }
        // Places by name, so that each is a short range of the table; joined, all hours of all years would be read.
        named.query(
                "select place_id, hour, coldest, mean, warmest, humidity, light from air_hour force index (primary)"
                        + " where place_id in (:places) and hour >= :from and hour < :to and nursery_id = :nursery"
                        + " order by place_id, hour",
                Map.of(
                        "places",
                        places,
                        "from",
                        at(from),
                        "to",
                        at(to),
                        "nursery",
                        nursery.required().toString()),
                row -> {
                    all.computeIfAbsent(UUID.fromString(row.getString("place_id")), id -> new ArrayList<>())
                            .add(hour(row));
                });
        return all;
    }

    private static HourView hour(ResultSet row) throws SQLException {
        return new HourView(
                instant(row.getTimestamp("hour")),
                row.getDouble("coldest"),
                row.getDouble("mean"),
                row.getDouble("warmest"),
                row.getObject("humidity", Double.class),
                row.getObject("light", Double.class));
    }

    /** Whether anything was ever read anywhere here. */
    @Transactional(readOnly = true)
    public boolean isAny() {
        return !database.queryForList(
                        "select 1 from air_hour where nursery_id = ? limit 1",
                        Integer.class,
                        nursery.required().toString())
                .isEmpty();
    }

    /**
     * What the hours of a place come to.
     *
     * @param hours how many there are
     * @param wrong of these, beside each of the limits asked for
     */
    public record Summed(int hours, List<AirWatch.Tally> wrong) {}

    /** Hours of some places summed where they lie, beside each of some limits; places without any are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Summed> summed(Collection<UUID> places, List<AirWatch.Limits> limits, Instant from, Instant to) {
        Map<UUID, Summed> all = new HashMap<>();
        if (places.isEmpty()) {
            return all;
        }
        Map<String, Object> asked = new HashMap<>(Map.of(
                "places", places.stream().map(UUID::toString).toList(),
                "from", at(from),
                "to", at(to),
                "nursery", nursery.required().toString()));
        StringBuilder sums = new StringBuilder();
        for (int i = 0; i < limits.size(); i++) {
            // The database knows no infinity.
            asked.put("cold" + i, Math.max(-1e6, limits.get(i).cold()));
            asked.put("hot" + i, Math.min(1e6, limits.get(i).hot()));
            asked.put("dry" + i, Math.max(-1e6, limits.get(i).dry()));
            sums.append(", sum(mean < :cold%1$d), sum(mean > :hot%1$d), coalesce(sum(humidity < :dry%1$d), 0)"
                    .formatted(i));
        }
        named.query(
                "select place_id, count(*)" + sums + " from air_hour force index (primary) where place_id in (:places)"
                        + " and hour >= :from and hour < :to and nursery_id = :nursery group by place_id",
                asked,
                row -> {
                    List<AirWatch.Tally> wrong = new ArrayList<>();
                    for (int i = 0; i < limits.size(); i++) {
                        wrong.add(new AirWatch.Tally(
                                row.getInt(3 * i + 3), row.getInt(3 * i + 4), row.getInt(3 * i + 5)));
                    }
                    all.put(UUID.fromString(row.getString(1)), new Summed(row.getInt(2), wrong));
                });
        return all;
    }

    /** Whole days of a place since one, the oldest first, each at its noon. */
    @Transactional(readOnly = true)
    public List<HourView> daily(UUID place, LocalDate since) {
        return database.query(
                "select day, coldest, mean, warmest, humidity, light from air_day where nursery_id = ? and place_id = ?"
                        + " and day >= ? order by day",
                (row, i) -> new HourView(
                        today.instant(row.getObject("day", LocalDate.class).atTime(LocalTime.NOON)),
                        row.getDouble("coldest"),
                        row.getDouble("mean"),
                        row.getDouble("warmest"),
                        row.getObject("humidity", Double.class),
                        row.getObject("light", Double.class)),
                nursery.required().toString(),
                place.toString(),
                since);
    }

    /** A day of a place: how many of its hours were measured, and its mean °C. */
    public record Day(LocalDate day, int hours, double mean) {}

    /** Days of a place since one, the oldest first. */
    @Transactional(readOnly = true)
    public List<Day> days(UUID place, LocalDate since) {
        return database.query(
                "select day, hours, mean from air_day where nursery_id = ? and place_id = ? and day >= ? order by day",
                (row, i) -> new Day(row.getObject("day", LocalDate.class), row.getInt("hours"), row.getDouble("mean")),
                nursery.required().toString(),
                place.toString(),
                since);
    }

    /** The last reading of a place; empty where none is kept. */
    @Transactional(readOnly = true)
    public Optional<Reading> last(UUID place) {
        return database
                .query(
                        "select read_at, warmth, humidity, light from air_reading where nursery_id = ? and place_id = ?"
                                + " order by read_at desc limit 1",
                        (row, i) -> reading(row),
                        nursery.required().toString(),
                        place.toString())
                .stream()
                .findFirst();
    }

    /** The last reading of each place that has one; place by place, which is a step down the table each. */
    @Transactional(readOnly = true)
    public Map<UUID, Reading> last() {
        Map<UUID, Reading> all = new HashMap<>();
        places().forEach(p -> last(UUID.fromString(p)).ifPresent(r -> all.put(UUID.fromString(p), r)));
        return all;
    }

    private List<String> places() {
        return database.queryForList(
                "select id from place where nursery_id = ?",
                String.class,
                nursery.required().toString());
    }

    private static Reading reading(ResultSet row) throws SQLException {
        return new Reading(
                instant(row.getTimestamp("read_at")),
                row.getDouble("warmth"),
                row.getObject("humidity", Double.class),
                row.getObject("light", Double.class));
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
                at(first),
                at(to));
        int hours = database.update(
                "delete from air_hour where nursery_id = ? and place_id = ? and hour >= ? and hour < ?",
                of.toString(),
                place.toString(),
                at(first),
                at(to));
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
                at(today.now().minus(rawDays(), ChronoUnit.DAYS)));
    }

    /** Degrees north, where somebody said. */
    @Transactional(readOnly = true)
    public Optional<Double> latitude() {
        return Optional.ofNullable(database.queryForObject(
                "select latitude from nursery where id = ?",
                Double.class,
                nursery.required().toString()));
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

    private static Timestamp at(Instant instant) {
        return Timestamp.valueOf(instant.atOffset(ZoneOffset.UTC).toLocalDateTime());
    }

    private static Instant instant(Timestamp stamp) {
        return stamp.toLocalDateTime().toInstant(ZoneOffset.UTC);
    }
}
