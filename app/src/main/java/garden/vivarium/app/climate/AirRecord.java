package garden.vivarium.app.climate;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.Today;
import garden.vivarium.core.watch.AirWatch;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was read of the air of this nursery's places: as it came, by hour and by day. {@link Readings} keeps it. */
@Service
public class AirRecord {

    private final JdbcTemplate database;
    private final NamedParameterJdbcTemplate named;
    private final CurrentNursery nursery;
    private final Today today;

    AirRecord(JdbcTemplate database, CurrentNursery nursery, Today today) {
        this.database = database;
        this.named = new NamedParameterJdbcTemplate(database);
        this.nursery = nursery;
        this.today = today;
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

    /** Degrees north, where somebody said. */
    @Transactional(readOnly = true)
    public Optional<Double> latitude() {
        return Optional.ofNullable(database.queryForObject(
                "select latitude from nursery where id = ?",
                Double.class,
                nursery.required().toString()));
    }

    static Timestamp at(Instant instant) {
        return Timestamp.valueOf(instant.atOffset(ZoneOffset.UTC).toLocalDateTime());
    }

    private static Instant instant(Timestamp stamp) {
        return stamp.toLocalDateTime().toInstant(ZoneOffset.UTC);
    }
}
