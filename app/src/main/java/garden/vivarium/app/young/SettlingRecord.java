package garden.vivarium.app.young;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchChanges;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.app.evidence.Evidence;
import garden.vivarium.app.guide.GuideLookup;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.platform.NurseryReturned;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.core.evidence.Establishment;
import garden.vivarium.core.evidence.Establishment.Move;
import garden.vivarium.core.evidence.Establishment.Seen;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** How many young plants settled here, and how long they took: by the medium in which their roots grew, and by way. */
@Component
class SettlingRecord {

    private final BatchBook batches;
    private final BatchChanges changes;
    private final YoungLookRepository looks;
    private final YoungMarkRepository marks;
    private final Evidence evidence;
    private final GuideLookup lookup;
    private final CurrentNursery nursery;
    private final Map<UUID, Held> held = new ConcurrentHashMap<>();

    SettlingRecord(
            BatchBook batches,
            BatchChanges changes,
            YoungLookRepository looks,
            YoungMarkRepository marks,
            Evidence evidence,
            GuideLookup lookup,
            CurrentNursery nursery) {
        this.batches = batches;
        this.changes = changes;
        this.looks = looks;
        this.marks = marks;
        this.evidence = evidence;
        this.lookup = lookup;
        this.nursery = nursery;
    }

    /** What was read last of a nursery: its moves by batch, and how often each batch had been changed by then. */
    private record Held(BatchChanges.Gave gave, Map<UUID, List<Move>> moves) {

        static final Held NOTHING = new Held(BatchChanges.Gave.NOTHING, Map.of());
    }

    /**
     * What young plants of a way have come to, and how long that took.
     *
     * @param what the way
     * @param mark to what
     * @param plants how many have, so far
     * @param of how many young plants were set up in those moves
     * @param first days after the move when the first had
     * @param half days by which half of those that have, had
     */
    record Milestone(String what, String mark, int plants, int of, long first, long half) {}

    /** By way and milestone, in the order of the plants' names. */
    @Transactional(readOnly = true)
    List<Milestone> milestones() {
        return milestones(w -> true);
    }

    /** Of one way. */
    @Transactional(readOnly = true)
    List<Milestone> milestones(Way way) {
        return milestones(way::equals);
    }

    private List<Milestone> milestones(Predicate<Way> which) {
        List<YoungMark> reached = marks.findAll();
        if (reached.isEmpty()) {
            return List.of();
        }
        Map<UUID, PottingView> moves =
                batches
                        .pottings(reached.stream()
                                .map(YoungMark::batchId)
                                .distinct()
                                .toList())
                        .values()
                        .stream()
                        .flatMap(List::stream)
                        .collect(Collectors.toMap(PottingView::id, Function.identity()));
        Map<UUID, Way> ways = batches
                .kinOf(reached.stream().map(YoungMark::batchId).distinct().toList())
                .stream()
                .filter(k -> which.test(k.way()))
                .collect(Collectors.toMap(BatchBook.Kin::id, BatchBook.Kin::way));
        Map<String, List<YoungMark>> by = reached.stream()
                .filter(m -> ways.containsKey(m.batchId()) && moves.containsKey(m.pottingId()))
                .collect(Collectors.groupingBy(
                        m -> name(ways.get(m.batchId())) + "\n" + m.mark().ordinal(),
                        TreeMap::new,
                        Collectors.toList()));
        return by.values().stream()
                .map(all -> milestone(name(ways.get(all.get(0).batchId())), all, moves))
                .toList();
    }

    private static Milestone milestone(String way, List<YoungMark> reached, Map<UUID, PottingView> moves) {
        List<Long> days = reached.stream()
                .flatMap(m ->
                        Collections.nCopies(m.plants(), (long) days(moves.get(m.pottingId()), m.reachedOn())).stream())
                .sorted()
                .toList();
        int of = reached.stream()
                .map(YoungMark::pottingId)
                .distinct()
                .mapToInt(id -> moves.get(id).youngPlants())
                .sum();
        return new Milestone(
                way, reached.get(0).mark().words(), days.size(), of, days.get(0), days.get((days.size() - 1) / 2));
    }

    private static String name(Way way) {
        return way.plant() + ", " + WayWords.of(way);
    }

    /** One line: of a medium, or of a way. */
    record Line(String what, Establishment found) {

        /** "12–18": between which days half had settled; empty while it is not known. */
        public String medianDays() {
            return found.median()
                    .map(m -> m.after() == 0 ? String.valueOf(m.by()) : m.after() + "–" + m.by())
                    .orElse("");
        }
    }

    /** Of one way. */
    @Transactional(readOnly = true)
    Establishment of(Way way) {
        return found(judged(way::equals), way, evidence.record().spread().rho());
    }

    /**
     * How young plants settled.
     *
     * @param byMedium all plants together, those with most young plants first
     * @param byWay plant by plant
     */
    record Settled(List<Line> byMedium, List<Line> byWay) {}

    /** By medium and by way. */
    @Transactional(readOnly = true)
    Settled settled() {
        List<Judged> all = judged(w -> true);
        List<Judged> byWay = all.stream().filter(j -> !j.way().isOfTrial()).toList();
        return new Settled(lines(all, Way::medium), lines(byWay, SettlingRecord::name));
    }

    private List<Line> lines(List<Judged> all, Function<Way, String> by) {
        double rho = evidence.record().spread().rho();
        return all.stream().collect(Collectors.groupingBy(j -> by.apply(j.way()))).entrySet().stream()
                .map(e -> new Line(
                        e.getKey(), found(e.getValue(), e.getValue().get(0).way(), rho)))
                .sorted(Comparator.comparing((Line l) -> -l.found().setUp()).thenComparing(Line::what))
                .toList();
    }

    private record Judged(Way way, Move move) {}

    private Establishment found(List<Judged> judged, Way way, double rho) {
        double guide = lookup.protocol(null, null, way)
                .map(p -> p.figures().establishment().rate())
                .orElse(0.9);
        return Establishment.of(
                Math.min(0.99, Math.max(0.01, guide)),
                judged.stream().map(Judged::move).toList(),
                rho);
    }

    private List<Judged> judged(Predicate<Way> which) {
        Map<UUID, List<Move>> moves = moves();
        List<Judged> judged = new ArrayList<>();
        evidence.known().batches().forEach((batch, told) -> {
            // What is potted on day 0 has one test, not two: that it took is in its rate of taking.
            if (moves.containsKey(batch)
                    && which.test(told.way())
                    && !lookup.method(told.way().method()).pottedOnDay0()) {
                moves.get(batch).forEach(m -> judged.add(new Judged(told.way(), m)));
            }
        });
        return judged;
    }

    /** Moves of which somebody said how many settled, by batch; read of those alone that changed since they were read last. */
    private Map<UUID, List<Move>> moves() {
        UUID of = nursery.required();
        Held before = held.getOrDefault(of, Held.NOTHING);
        BatchChanges.Gave gave = changes.gave(before.gave());
        Map<UUID, List<Move>> moves =
                gave.changes() == before.gave().changes() ? before.moves() : after(before, gave.changes());
        if (TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            held.put(of, new Held(gave, moves));
        }
        return moves;
    }

    private Map<UUID, List<Move>> after(Held before, Map<UUID, Integer> numbers) {
        Map<UUID, List<Move>> now = new HashMap<>();
        Set<UUID> fresh = new HashSet<>();
        numbers.forEach((batch, number) -> {
            if (!number.equals(before.gave().changes().get(batch))) {
                fresh.add(batch);
            } else if (before.moves().containsKey(batch)) {
                now.put(batch, before.moves().get(batch));
            }
        });
        now.putAll(read(fresh));
        return now;
    }

    private Map<UUID, List<Move>> read(Set<UUID> of) {
        Map<UUID, List<PottingView>> moved = batches.pottings(of);
        Map<UUID, List<YoungLook>> seen = looks.findByBatchIdInAndWithdrawnFalse(moved.keySet()).stream()
                .collect(Collectors.groupingBy(YoungLook::pottingId));
        Map<UUID, List<Move>> moves = new HashMap<>();
        moved.forEach((batch, all) -> moves.put(
                batch,
                all.stream()
                        .filter(m -> m.settled() != null
                                && m.youngPlants() - m.lost().sentUnsettled() > 0)
                        .map(m -> move(m, seen.getOrDefault(m.id(), List.of())))
                        .toList()));
        return moves;
    }

    @EventListener
    public void returned(NurseryReturned back) {
        held.clear();
    }

    /** What looks saw by their days; and at the end what was said of all. */
    private static Move move(PottingView move, List<YoungLook> looks) {
        int setUp = move.youngPlants() - move.lost().sentUnsettled();
        List<Seen> seen = new ArrayList<>();
        int lost = 0;
        for (YoungLook look : looks) {
            YoungSeen s = look.seen();
            if (!look.lostSettled() && !s.day().isAfter(move.settledOn())) {
                lost = Math.min(move.lost().unsettled(), lost + s.lost());
                seen.add(new Seen(days(move, s.day()), Math.min(s.settled(), move.settled()), lost));
            }
        }
        seen.add(new Seen(
                days(move, move.settledOn()),
                Math.min(setUp - move.lost().unsettled(), move.settled()),
                move.lost().unsettled()));
        // That all had settled, said on the day of the move itself, tells nothing of how long it takes.
        boolean timed = seen.size() > 1 || days(move, move.settledOn()) > 1;
        Tallies times = timed ? Establishment.times(setUp, seen).closed() : Tallies.none();
        return new Move(setUp, Math.min(setUp, move.settled()), times);
    }

    private static int days(PottingView move, LocalDate day) {
        return (int) Math.max(0, ChronoUnit.DAYS.between(move.movedOn(), day));
    }
}
