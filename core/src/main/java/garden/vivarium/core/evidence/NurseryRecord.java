package garden.vivarium.core.evidence;

import garden.vivarium.core.evidence.Overdispersion.WayCounts;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * All batches of a nursery as evidence. For any way it gives the strike rate and the times, borrowed down nested levels:
 * the guide, then method and medium over all plant groups, then the group with the same method, then this plant with this
 * method, then the way itself. Each level holds only batches that no closer level holds. Sections 3 and 4 of the design's
 * science page.
 *
 * <p>Immutable; fits are made when first asked for and kept.
 */
public final class NurseryRecord {

    private final List<WayBatch> batches;
    private final Map<String, List<WayBatch>> byMethod;
    private final Function<Way, GuideFigures> guide;
    private final List<CountedWay> finished;
    private final Map<WayBatch, BatchCount> finishedCounts = new IdentityHashMap<>();
    private final Overdispersion spread;
    private final Map<Way, RootingTime> readyTimes = new ConcurrentHashMap<>();
    private final Map<Way, Optional<RootingTime>> firstSignTimes = new ConcurrentHashMap<>();
    private final Map<Way, StrikeRate> rates = new ConcurrentHashMap<>();

    private NurseryRecord(
            List<WayBatch> batches,
            Function<Way, GuideFigures> guide,
            List<CountedWay> finished,
            Overdispersion spread) {
        this.batches = batches;
        batches.stream()
                .filter(WayBatch::isFinished)
                .forEach(b -> finishedCounts.put(b, new BatchCount(b.kept(), b.judgeable())));
        this.byMethod =
                batches.stream().collect(Collectors.groupingBy(b -> b.way().method()));
        this.guide = guide;
        this.finished = finished;
        this.spread = spread;
    }

    /** Finished counts of a way in a form that can be compared with an earlier record's. */
    private record CountedWay(Way way, List<List<Integer>> counts) {}

    /**
     * A record of the batches.
     *
     * @param batches all batches with at least one piece stuck
     * @param guide what the guide says of any way
     */
    public static NurseryRecord of(Collection<WayBatch> batches, Function<Way, GuideFigures> guide) {
        return make(batches, guide, null);
    }

    /**
     * The record after some batches have changed. The spread between batches, the dearest figure, is kept where no
     * finished batch has changed.
     */
    public NurseryRecord updated(Collection<WayBatch> now) {
        return make(now, guide, this);
    }

    private static NurseryRecord make(
            Collection<WayBatch> batches, Function<Way, GuideFigures> guide, NurseryRecord before) {
        List<WayBatch> all = List.copyOf(batches);
        Map<Way, List<List<Integer>>> counts = new LinkedHashMap<>();
        for (WayBatch b : all) {
            if (b.isFinished()) {
                counts.computeIfAbsent(b.way(), w -> new ArrayList<>()).add(List.of(b.kept(), b.judgeable()));
            }
        }
        List<CountedWay> finished = counts.entrySet().stream()
                .map(e -> new CountedWay(e.getKey(), List.copyOf(e.getValue())))
                .toList();
        Overdispersion spread = before != null && before.finished.equals(finished)
                ? before.spread
                : Overdispersion.estimate(finished.stream()
                        .map(c -> new WayCounts(
                                guide.apply(c.way()).rate(),
                                c.counts().stream()
                                        .map(k -> new int[] {k.get(0), k.get(1)})
                                        .toList()))
                        .toList());
        NurseryRecord record = new NurseryRecord(all, guide, finished, spread);
        if (before != null && before.spread == spread) {
            record.keepWhatStands(before);
        }
        return record;
    }

    /** Fits of methods none of whose batches have changed stand as they were: levels never reach beyond a method. */
    private void keepWhatStands(NurseryRecord before) {
        byMethod.forEach((method, now) -> {
            if (now.equals(before.byMethod.get(method))) {
                copy(method, before.rates, rates);
                copy(method, before.readyTimes, readyTimes);
                copy(method, before.firstSignTimes, firstSignTimes);
            }
        });
    }

    private static <T> void copy(String method, Map<Way, T> from, Map<Way, T> to) {
        from.forEach((way, fit) -> {
            if (way.method().equals(method)) {
                to.put(way, fit);
            }
        });
    }

    /** The spread between batches beyond chance. */
    public Overdispersion spread() {
        return spread;
    }

    /** Whether fewer than twenty batches are finished: then intervals are rougher, and pages say so. */
    public boolean isYoung() {
        return spread.batches() < Overdispersion.ENOUGH_BATCHES;
    }

    /** All ways that have batches, each with its batches. */
    public Map<Way, List<WayBatch>> ways() {
        Map<Way, List<WayBatch>> ways = new LinkedHashMap<>();
        batches.forEach(
                b -> ways.computeIfAbsent(b.way(), w -> new ArrayList<>()).add(b));
        return ways;
    }

    /** The batches done in just this way. */
    public List<WayBatch> of(Way way) {
        return batches.stream().filter(b -> b.way().equals(way)).toList();
    }

    /** What the guide says of a way. */
    public GuideFigures guide(Way way) {
        return guide.apply(way);
    }

    /** The mean strike rate of a way, with batches or without. */
    public StrikeRate strike(Way way) {
        return rates.computeIfAbsent(way, this::fitStrike);
    }

    /** The time to ready of a way. */
    public RootingTime ready(Way way) {
        return readyTimes.computeIfAbsent(
                way, w -> RootingTimeFit.borrow(guide.apply(w).ready(), timed(w, WayBatch::ready)));
    }

    /** The time to first sign of a way; empty where there is none. */
    public Optional<RootingTime> firstSign(Way way) {
        return firstSignTimes.computeIfAbsent(
                way,
                w -> guide.apply(w)
                        .firstSign()
                        .map(window -> RootingTimeFit.borrow(window, timed(w, WayBatch::firstSign))));
    }

    private List<List<TimedBatch>> timed(Way way, Function<WayBatch, Tallies> milestone) {
        return levels(way).stream()
                .map(level -> level.batches().stream()
                        .filter(b -> b.lastKnowingLook() > 0)
                        .map(b -> TimedBatch.of(milestone.apply(b), b.age(), spread.rho()))
                        .toList())
                .toList();
    }

    private StrikeRate fitStrike(Way way) {
        List<Level> counted = new ArrayList<>();
        for (Batches level : levels(way)) {
            List<BatchCount> counts = new ArrayList<>();
            level.batches().forEach(b -> count(b).ifPresent(counts::add));
            counted.add(new Level(level.name(), counts));
        }
        return StrikeRate.of(guide.apply(way).rate(), counted, spread.rho());
    }

    private Optional<BatchCount> count(WayBatch b) {
        BatchCount whole = finishedCounts.get(b);
        if (whole != null) {
            return Optional.of(whole);
        }
        double judged = b.lastKnowingLook() == 0 ? 0 : ready(b.way()).by(b.lastKnowingLook());
        double of = b.kept() + (b.judgeable() - b.kept()) * judged;
        // Less than a tenth of a piece says nothing, and would only add a batch to the list of evidence.
        return of < 0.1
                ? Optional.empty()
                : Optional.of(BatchCount.running(b.kept(), b.judgeable() - b.kept(), judged));
    }

    private record Batches(String name, List<WayBatch> batches) {}

    /** From the widest to the closest level; each batch is in the closest that it fits. */
    private List<Batches> levels(Way way) {
        List<WayBatch> own = new ArrayList<>();
        List<WayBatch> samePlant = new ArrayList<>();
        List<WayBatch> sameGroup = new ArrayList<>();
        List<WayBatch> sameMedium = new ArrayList<>();
        for (WayBatch b : byMethod.getOrDefault(way.method(), List.of())) {
            Way other = b.way();
            if (other.equals(way)) {
                own.add(b);
            } else if (other.plant().equals(way.plant())) {
                samePlant.add(b);
            } else if (other.group().equals(way.group())) {
                sameGroup.add(b);
            } else if (other.medium().equals(way.medium())) {
                sameMedium.add(b);
            }
        }
        return List.of(
                new Batches("Other groups, %s in %s".formatted(way.method(), way.medium()), sameMedium),
                new Batches("Other plants of its group, %s".formatted(way.method()), sameGroup),
                new Batches("This plant, %s in other ways".formatted(way.method()), samePlant),
                new Batches("This plant, this way", own));
    }
}
