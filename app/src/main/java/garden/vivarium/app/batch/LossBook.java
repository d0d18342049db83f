package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.core.compare.LossEvent;
import garden.vivarium.core.compare.Outbreaks;
import garden.vivarium.core.looks.LossCause;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What looks found lost since a day, of all batches: the readings of bench mode and the looks by count. */
@Service
public class LossBook {

    private final JdbcTemplate database;
    private final CurrentNursery nursery;

    LossBook(JdbcTemplate database, CurrentNursery nursery) {
        this.database = database;
        this.nursery = nursery;
    }

    /**
     * What was found, and where it could have been.
     *
     * @param losses each look's, by cause
     * @param looks every look at a batch in that time
     * @param stuckAt pieces stuck of the batches looked at, by place
     * @param stuckBy the same by way
     */
    public record Found(
            List<LossEvent> losses,
            List<Outbreaks.Seen> looks,
            Map<String, Integer> stuckAt,
            Map<String, Integer> stuckBy) {}

    private record Batch(String code, String way, String place, LocalDate stuckOn, int stuck) {}

    private record Look(UUID batch, LocalDate on, Integer lost, LossCause cause) {}

    private record Lost(UUID batch, LocalDate on, LossCause cause, int pieces) {}

    /** Since a day; pieces that were found lost twice are lost once, on the first of those looks. */
    @Transactional(readOnly = true)
    public Found since(LocalDate since) {
        String of = nursery.required().toString();
        // Looks by count say what is lost so far, and a piece lost long ago may be seen again: what was known before is
        // read too.
        LocalDate known = since.minusYears(1);
        List<Look> looks = database.query(
                "select batch_id, looked_on, by_count, lost, lost_ready, cause from batch_check where nursery_id = ?"
                        + " and withdrawn_at is null and looked_on >= ? order by batch_id, looked_on, entry",
                (row, i) -> look(row),
                of,
                known);
        Map<UUID, Batch> batches = new HashMap<>();
        database.query(
                "select b.id, b.code, b.plant_name, b.method, b.medium, p.name, b.stuck_on, b.stuck from batch b"
                        + " join place p on p.id = b.place_id where b.nursery_id = ? and b.stuck_on is not null"
                        + " and (b.closed_on is null or b.closed_on >= ?)",
                row -> {
                    batches.put(
                            UUID.fromString(row.getString(1)),
                            new Batch(
                                    row.getString(2),
                                    row.getString(3) + ", " + row.getString(4) + ", " + row.getString(5),
                                    row.getString(6),
                                    row.getObject(7, LocalDate.class),
                                    row.getInt(8)));
                },
                of,
                since);
        Map<UUID, List<Lost>> lost =
                new HashMap<>(byPiece(of, known).stream().collect(Collectors.groupingBy(Lost::batch)));
        Map<UUID, List<Look>> byBatch = looks.stream()
                .filter(l -> batches.containsKey(l.batch()))
                .collect(Collectors.groupingBy(Look::batch, TreeMap::new, Collectors.toList()));
        List<LossEvent> events = new ArrayList<>();
        List<Outbreaks.Seen> seen = new ArrayList<>();
        Map<String, Integer> stuckAt = new HashMap<>();
        Map<String, Integer> stuckBy = new HashMap<>();
        byBatch.forEach((id, own) -> {
            Batch b = batches.get(id);
            if (own.stream().noneMatch(l -> !l.on().isBefore(since))) {
                return;
            }
            own.stream()
                    .filter(l -> !l.on().isBefore(since))
                    .forEach(l -> seen.add(new Outbreaks.Seen(b.code(), b.place(), l.on())));
            stuckAt.merge(b.place(), b.stuck(), Integer::sum);
            stuckBy.merge(b.way(), b.stuck(), Integer::sum);
            List<Lost> all = new ArrayList<>(lost.getOrDefault(id, List.of()));
            all.addAll(byCount(id, own, all));
            all.stream()
                    .filter(l -> !l.on().isBefore(since))
                    .forEach(l -> events.add(new LossEvent(
                            b.code(),
                            b.way(),
                            b.place(),
                            b.stuckOn(),
                            before(own, l.on(), b.stuckOn()),
                            l.on(),
                            l.cause(),
                            l.pieces())));
        });
        events.sort(Comparator.comparing(LossEvent::on).reversed().thenComparing(LossEvent::batch));
        return new Found(events, seen, stuckAt, stuckBy);
    }

    /** How often each batch was looked at. */
    @Transactional(readOnly = true)
    public Map<UUID, Integer> looks() {
        Map<UUID, Integer> looks = new HashMap<>();
        database.query(
                "select batch_id, count(*) from batch_check where nursery_id = ? and withdrawn_at is null group by batch_id",
                row -> {
                    looks.put(UUID.fromString(row.getString(1)), row.getInt(2));
                },
                nursery.required().toString());
        return looks;
    }

    private List<Lost> byPiece(String of, LocalDate since) {
        return database.query(
                "select x.batch_id, x.found, x.cause, count(*) from (select c.batch_id, r.piece, min(c.looked_on) found,"
                        + " min(r.cause) cause from reading r join batch_check c on c.id = r.check_id"
                        + " where r.nursery_id = ? and c.nursery_id = ? and r.state = 'LOST' and c.withdrawn_at is null"
                        + " and c.looked_on >= ? group by c.batch_id, r.piece) x group by x.batch_id, x.found, x.cause",
                (row, i) -> new Lost(
                        UUID.fromString(row.getString(1)),
                        row.getObject(2, LocalDate.class),
                        cause(row.getString(3)),
                        row.getInt(4)),
                of,
                of,
                since);
    }

    /** Looks by count say how many are lost so far: what is more than was known is new. */
    private static List<Lost> byCount(UUID batch, List<Look> looks, List<Lost> byPiece) {
        List<Lost> found = new ArrayList<>();
        int counted = 0;
        for (Look look : looks) {
            if (look.lost() != null) {
                int pieces = byPiece.stream()
                        .filter(l -> !l.on().isAfter(look.on()))
                        .mapToInt(Lost::pieces)
                        .sum();
                int fresh = look.lost() - pieces - counted;
                if (fresh > 0) {
                    found.add(new Lost(batch, look.on(), look.cause(), fresh));
                    counted += fresh;
                }
            }
        }
        return found;
    }

    private static LocalDate before(List<Look> looks, LocalDate on, LocalDate stuckOn) {
        return looks.stream()
                .map(Look::on)
                .filter(d -> d.isBefore(on))
                .max(Comparator.naturalOrder())
                .filter(d -> d.isAfter(stuckOn))
                .orElse(stuckOn);
    }

    private static Look look(ResultSet row) throws SQLException {
        boolean counted = row.getBoolean("by_count");
        return new Look(
                UUID.fromString(row.getString("batch_id")),
                row.getObject("looked_on", LocalDate.class),
                counted ? row.getInt("lost") + row.getInt("lost_ready") : null,
                cause(row.getString("cause")));
    }

    private static LossCause cause(String name) {
        return name == null ? LossCause.UNKNOWN : LossCause.valueOf(name);
    }
}
