package garden.vivarium.app.batch;

import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.SharedDoubt;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.SeasonFactors;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * All batches of the current nursery as evidence. What was read last is kept in memory under the nursery's evidence stamp,
 * which every change of a tally raises in its own transaction; only batches that changed since are read again.
 */
@Service
public class Evidence {

    private final BatchRepository batches;
    private final TallyRepository tallies;
    private final GuideLookup guide;
    private final CurrentNursery nursery;
    private final PottingRepository pottings;
    private final JdbcClient database;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    Evidence(
            BatchRepository batches,
            TallyRepository tallies,
            GuideLookup guide,
            CurrentNursery nursery,
            PottingRepository pottings,
            JdbcClient database) {
        this.batches = batches;
        this.tallies = tallies;
        this.guide = guide;
        this.nursery = nursery;
        this.pottings = pottings;
        this.database = database;
    }

    private record Held(long stamp, Map<UUID, HeldBatch> batches, NurseryRecord record) {}

    private record HeldBatch(int changes, WayBatch batch) {}

    /** The record as of now. */
    @Transactional(readOnly = true)
    public NurseryRecord record() {
        UUID id = nursery.required();
        long stamp = stamp(id);
        Held before = held.get(id);
        if (before != null && before.stamp() == stamp) {
            return before.record();
        }
        Map<UUID, HeldBatch> now = read(before == null ? Map.of() : before.batches());
        List<WayBatch> all = now.values().stream().map(HeldBatch::batch).toList();
        NurseryRecord record = before == null
                ? NurseryRecord.of(all, guide::figures)
                : before.record().updated(all);
        held.put(id, new Held(stamp, now, record));
        return record;
    }

    /** The way that a protocol makes of a plant. */
    public static Way way(Protocol protocol, String plant, String group) {
        return new Way(
                plant,
                group,
                protocol.method(),
                protocol.medium(),
                Way.treatment(String.join(";", protocol.wayTreatment())));
    }

    /** What is to be expected of a protocol for a plant, with all that this nursery knows. */
    @Transactional(readOnly = true)
    public Outlook outlook(Protocol protocol, String plant, String group) {
        return Outlook.of(protocol, record(), way(protocol, plant, group));
    }

    /** What is not known of a way in a season, by finished batches alone: what its running batches share. */
    @Transactional(readOnly = true)
    public SharedDoubt beforeRunning(Way way, SeasonFactors season) {
        return beforeRunning(record(), way, season);
    }

    static SharedDoubt beforeRunning(NurseryRecord record, Way way, SeasonFactors season) {
        return new SharedDoubt(
                record.finishedStrike(way, season), record.prior(way, season).time());
    }

    /** Raises the stamp: a tally of the current nursery has changed. */
    void changed() {
        database.sql("update nursery set evidence_stamp = evidence_stamp + 1 where id = ?")
                .param(nursery.required().toString())
                .update();
    }

    private long stamp(UUID id) {
        return database.sql("select evidence_stamp from nursery where id = ?")
                .param(id.toString())
                .query(Long.class)
                .optional()
                .orElse(0L);
    }

    private Map<UUID, HeldBatch> read(Map<UUID, HeldBatch> known) {
        List<BatchRepository.EvidenceRow> rows = batches.forEvidence();
        Set<UUID> changed = rows.stream()
                .filter(r ->
                        !known.containsKey(r.getId()) || known.get(r.getId()).changes() != r.getChanges())
                .map(BatchRepository.EvidenceRow::getId)
                .collect(Collectors.toSet());
        boolean most = changed.size() > rows.size() / 2;
        Map<UUID, Map<Milestone, Map<Interval, Long>>> counted = new HashMap<>();
        for (TallyRow t : most ? tallies.findAll() : tallies.findByBatchIdIn(changed)) {
            counted.computeIfAbsent(t.batchId(), b -> new EnumMap<>(Milestone.class))
                    .computeIfAbsent(t.milestone(), m -> new HashMap<>())
                    .merge(t.interval(), t.pieces(), Long::sum);
        }
        Map<UUID, WayBatch.Moved> moved = (most ? pottings.settled() : pottings.settled(changed))
                .stream()
                        .collect(Collectors.toMap(
                                PottingRepository.SettledRow::getBatchId,
                                s -> new WayBatch.Moved(s.getSettled(), s.getAsked())));
        Map<UUID, HeldBatch> now = new HashMap<>();
        for (BatchRepository.EvidenceRow r : rows) {
            now.put(
                    r.getId(),
                    changed.contains(r.getId())
                            ? new HeldBatch(
                                    r.getChanges(),
                                    batch(
                                            r,
                                            counted.getOrDefault(r.getId(), Map.of()),
                                            moved.getOrDefault(r.getId(), WayBatch.Moved.NONE)))
                            : known.get(r.getId()));
        }
        return now;
    }

    private static WayBatch batch(
            BatchRepository.EvidenceRow r, Map<Milestone, Map<Interval, Long>> counted, WayBatch.Moved moved) {
        Tallies firstSign = Tallies.of(counted.getOrDefault(Milestone.FIRST_SIGN, Map.of()));
        Tallies ready = Tallies.of(counted.getOrDefault(Milestone.READY, Map.of()));
        boolean over = r.getClosedOn() != null;
        boolean driedFirst = r.getTakenOn().isBefore(r.getStuckOn());
        return new WayBatch(
                new Way(r.getPlant(), r.getPlantGroup(), r.getMethod(), r.getMedium(), r.getTreatment()),
                new SeasonFactors(r.getSlower(), r.getPoorer()),
                driedFirst ? r.getTaken() : 0,
                r.getStuck(),
                moved,
                over ? firstSign.closed() : firstSign,
                over ? ready.closed() : ready);
    }
}
