package garden.vivarium.app.evidence;

import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.core.Grown;
import garden.vivarium.core.evidence.Neighbours;
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
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.WeakHashMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * All batches of the current nursery as evidence. What was read last is kept in memory under the nursery's evidence stamp,
 * which every change of a tally raises in its own transaction; only batches that changed since are read again.
 */
@Service
public class Evidence {

    /** A batch that counts by less than this otherwise is left as it is. */
    private static final double LEAST_CHANGE = 0.02;

    private static final int AT_WORK = 5;

    private final EvidenceBatchRepository batches;
    private final TallyRepository tallies;
    private final EvidenceStamp stamps;
    private final NeighbourBook neighbours;
    private final GuideLookup guide;
    private final CurrentNursery nursery;
    private final ApplicationEventPublisher events;
    private final EntityManager entities;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    Evidence(
            EvidenceBatchRepository batches,
            TallyRepository tallies,
            EvidenceStamp stamps,
            NeighbourBook neighbours,
            GuideLookup guide,
            CurrentNursery nursery,
            ApplicationEventPublisher events,
            EntityManager entities) {
        this.batches = batches;
        this.tallies = tallies;
        this.stamps = stamps;
        this.neighbours = neighbours;
        this.guide = guide;
        this.nursery = nursery;
        this.events = events;
        this.entities = entities;
    }

    /** What is to be expected by a record, which is another as soon as anything is told. */
    private final Map<NurseryRecord, Map<Asked, Outlook>> outlooks = Collections.synchronizedMap(new WeakHashMap<>());

    /** What was read, and as of when: the nursery's stamp, and how often the transaction that read it had changed it itself. */
    private record Held(long stamp, int changesHere, Map<UUID, HeldBatch> batches, NurseryRecord record) {

        boolean isAsOf(long now, int here) {
            return stamp == now && changesHere == here;
        }
    }

    /** A batch as it was read; empty where it tells nothing; and whether its tallies are what its looks have counted. */
    private record HeldBatch(int changes, Optional<WayBatch> batch, boolean asCounted) {}

    /**
     * All batches as evidence, by their ids, with the record of them.
     *
     * @param batches those that tell anything
     */
    public record Known(NurseryRecord record, Map<UUID, WayBatch> batches) {}

    /** The record as of now, with its batches by their ids. */
    @Transactional(readOnly = true)
    public Known known() {
        Held now = now();
        return new Known(
                now.record(),
                now.batches().entrySet().stream()
                        .filter(e -> e.getValue().batch().isPresent())
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, e -> e.getValue().batch().orElseThrow())));
    }

    /** The nurseries for which it is worth to reckon ahead after a start: some few, those of which most was told first. */
    @Transactional(readOnly = true)
    public List<UUID> atWork() {
        return stamps.nurseries(AT_WORK);
    }

    /** The record as of now. */
    @Transactional(readOnly = true)
    public NurseryRecord record() {
        return now().record();
    }

    private Held now() {
        UUID id = nursery.required();
        // Who only reads sees one state of the nursery until the transaction ends.
        boolean readOnly = TransactionSynchronizationManager.isCurrentTransactionReadOnly();
        Optional<Held> seen = readOnly ? own(id) : Optional.empty();
        if (seen.isPresent()) {
            return seen.get();
        }
        Held known = held.get(id);
        // Read first: what is written meanwhile raises it, and is then read again.
        EvidenceStamp.Stamp stamp = stamps.of(id);
        if (known != null && stamp.at() < known.stamp()) {
            // It never falls but where another node has restored an older copy.
            events.publishEvent(new NurseryReturned(id));
        }
        int here = stamps.changesHere(id);
        Held before = here == 0 ? held.get(id) : own(id).orElseGet(() -> held.get(id));
        if (before != null && before.isAsOf(stamp.at(), here)) {
            if (readOnly) {
                bind(id, before);
            }
            return before;
        }
        Held made = before == null ? first(stamp.at(), here) : next(id, before, stamp, here);
        keep(id, made);
        if (readOnly) {
            bind(id, made);
        }
        return made;
    }

    private Held first(long stamp, int here) {
        Map<UUID, HeldBatch> now = comparing(Map.of());
        return new Held(stamp, here, now, NurseryRecord.of(told(now), guide::figures, neighbours.neighbours()));
    }

    private Held next(UUID id, Held before, EvidenceStamp.Stamp stamp, int here) {
        // What this transaction told is marked when it ends; and what was forgotten is marked nowhere.
        boolean isMarked = here == 0 && before.changesHere() == 0 && stamp.forgotAt() <= before.stamp();
        if (!isMarked) {
            Map<UUID, HeldBatch> now = comparing(before.batches());
            return new Held(stamp.at(), here, now, beside(before.record().updated(told(now))));
        }
        Set<UUID> changed = Set.copyOf(batches.toldSince(id, before.stamp()));
        Map<UUID, HeldBatch> now = with(before.batches(), changed);
        NurseryRecord record =
                before.record().updated(told(before.batches(), changed), told(now, changed), () -> told(now));
        return new Held(stamp.at(), here, now, beside(record));
    }

    private NurseryRecord beside(NurseryRecord record) {
        Neighbours now = neighbours.neighbours();
        return record.neighbours().given().equals(now.given()) ? record : record.beside(now);
    }

    private static List<WayBatch> told(Map<UUID, HeldBatch> batches, Set<UUID> some) {
        return some.stream()
                .flatMap(id -> Optional.ofNullable(batches.get(id)).stream())
                .flatMap(b -> b.batch().stream())
                .toList();
    }

    private static List<WayBatch> told(Map<UUID, HeldBatch> batches) {
        return batches.values().stream().flatMap(b -> b.batch().stream()).toList();
    }

    /** What a transaction has changed itself nobody else sees, and may never come: it keeps that to itself. */
    private void keep(UUID id, Held now) {
        if (now.changesHere() == 0) {
            held.put(id, now);
        } else {
            bind(id, now);
        }
    }

    private static void bind(UUID id, Held now) {
        Own own = new Own(id);
        if (own(id).isPresent()) {
            TransactionSynchronizationManager.unbindResource(own);
        } else {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(own);
                }
            });
        }
        TransactionSynchronizationManager.bindResource(own, now);
    }

    private static Optional<Held> own(UUID id) {
        return Optional.ofNullable((Held) TransactionSynchronizationManager.getResource(new Own(id)));
    }

    /** Under which a transaction keeps what it sees of a nursery. */
    private record Own(UUID nursery) {}

    /** The way that a protocol makes of a plant. */
    public static Way way(Protocol protocol, Grown plant) {
        return Way.of(
                plant,
                protocol.method(),
                protocol.medium(),
                protocol.technique().treatment(),
                Way.Own.of(protocol.key(), protocol.version()));
    }

    /** What is to be expected of a protocol for a plant, with all that this nursery knows. */
    @Transactional(readOnly = true)
    public Outlook outlook(Protocol protocol, Grown plant) {
        NurseryRecord record = record();
        return outlooks.computeIfAbsent(record, r -> new ConcurrentHashMap<>())
                .computeIfAbsent(
                        new Asked(guide.fitted(protocol, plant), way(protocol, plant)),
                        asked -> Outlook.of(asked.protocol(), record, asked.way()));
    }

    private record Asked(Protocol protocol, Way way) {}

    /** What is not known of a way in a season, by finished batches alone: what its running batches share. */
    @Transactional(readOnly = true)
    public SharedDoubt beforeRunning(Way way, SeasonFactors season) {
        return beforeRunning(record(), way, season);
    }

    /** The same by a record that was read before. */
    public static SharedDoubt beforeRunning(NurseryRecord record, Way way, SeasonFactors season) {
        return new SharedDoubt(
                record.finishedStrike(way, season), record.prior(way, season).time());
    }

    /**
     * What looks at a batch have counted.
     *
     * @param firstSign tallies of first sign; none where the method has none
     * @param ready tallies of ready
     */
    public record Counted(Tallies firstSign, Tallies ready) {

        /** Nobody looked. */
        public static final Counted NOTHING = new Counted(Tallies.none(), Tallies.none());
    }

    /**
     * Says as what share of itself each of these batches counts from now on, in every rate that is reckoned of it.
     *
     * @param shares by batch, above 0 to 1
     */
    @Transactional
    public void countAs(Map<UUID, Double> shares) {
        UUID id = nursery.required();
        Set<UUID> changed = batches.counting().stream()
                .filter(row -> shares.containsKey((UUID) row[0])
                        && Math.abs(shares.get((UUID) row[0]) - (Double) row[1]) > LEAST_CHANGE)
                .map(row -> (UUID) row[0])
                .collect(Collectors.toSet());
        if (!changed.isEmpty()) {
            batches.findByBatchIdIn(changed).forEach(b -> {
                b.countsAs(shares.get(b.batchId()));
                stamps.told(id, b.batchId());
            });
        }
    }

    /** What looks at these batches have counted; nothing of those that were not stuck. */
    @Transactional(readOnly = true)
    public Map<UUID, Counted> counted(Collection<UUID> ids) {
        if (ids.isEmpty()) {
            return Map.of();
        }
        if (!TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return counted(tallies.findByBatchIdIn(ids));
        }
        // Who only reads has what running batches have counted in memory.
        Map<UUID, HeldBatch> known = now().batches();
        Map<UUID, Counted> all = new HashMap<>();
        Set<UUID> others = new HashSet<>();
        for (UUID id : ids) {
            HeldBatch one = known.get(id);
            if (one != null && one.asCounted()) {
                WayBatch batch = one.batch().orElseThrow();
                all.put(id, new Counted(batch.firstSign(), batch.ready()));
            } else {
                others.add(id);
            }
        }
        if (!others.isEmpty()) {
            all.putAll(counted(tallies.findByBatchIdIn(others)));
        }
        return all;
    }

    private static Map<UUID, Counted> counted(List<TallyRow> rows) {
        Map<UUID, Map<Milestone, Map<Interval, Long>>> counted = new HashMap<>();
        for (TallyRow t : rows) {
            counted.computeIfAbsent(t.batchId(), b -> new EnumMap<>(Milestone.class))
                    .computeIfAbsent(t.milestone(), m -> new HashMap<>())
                    .merge(t.interval(), t.pieces(), Long::sum);
        }
        return counted.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        e -> new Counted(
                                Tallies.of(e.getValue().getOrDefault(Milestone.FIRST_SIGN, Map.of())),
                                Tallies.of(e.getValue().getOrDefault(Milestone.READY, Map.of())))));
    }

    /** All batches, of which those are read that were told of since they were known. */
    private Map<UUID, HeldBatch> comparing(Map<UUID, HeldBatch> known) {
        Map<UUID, HeldBatch> same = new HashMap<>();
        Set<UUID> changed = new HashSet<>();
        for (Object[] row : batches.changes()) {
            UUID id = (UUID) row[0];
            HeldBatch before = known.get(id);
            if (before != null && before.changes() == (Integer) row[1]) {
                same.put(id, before);
            } else {
                changed.add(id);
            }
        }
        return with(same, changed);
    }

    /** The batches known, with the changed ones as they are now. */
    private Map<UUID, HeldBatch> with(Map<UUID, HeldBatch> known, Set<UUID> changed) {
        if (changed.isEmpty()) {
            return known;
        }
        boolean most = changed.size() > known.size();
        List<EvidenceBatch> rows = most ? batches.findAll() : batches.findByBatchIdIn(changed);
        if (stamps.changesHere(nursery.required()) == 0) {
            // Asked again in this transaction they must be what the database holds then, and not what was read now.
            rows.forEach(entities::detach);
        }
        Map<UUID, Counted> counted = counted(most ? tallies.findAll() : tallies.findByBatchIdIn(changed));
        Map<UUID, HeldBatch> now = new HashMap<>(known);
        // Batches that tell just the same are one object: what is kept by batch is then found without comparing them.
        Map<WayBatch, WayBatch> same = new HashMap<>();
        if (most) {
            known.values().forEach(h -> h.batch().ifPresent(b -> same.putIfAbsent(b, b)));
        }
        rows.stream()
                .filter(r -> changed.contains(r.batchId()))
                .forEach(r -> now.put(r.batchId(), held(r, counted, same)));
        return now;
    }

    private static HeldBatch held(EvidenceBatch row, Map<UUID, Counted> counted, Map<WayBatch, WayBatch> same) {
        Counted own = counted.getOrDefault(row.batchId(), Counted.NOTHING);
        return new HeldBatch(
                row.changes(),
                row.tells()
                        ? Optional.of(row.with(own.firstSign(), own.ready())).map(b -> same.computeIfAbsent(b, x -> x))
                        : Optional.empty(),
                row.tells() && !row.isOver());
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.remove(back.nursery());
    }
}
