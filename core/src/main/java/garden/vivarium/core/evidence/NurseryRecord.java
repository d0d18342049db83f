package garden.vivarium.core.evidence;

import garden.vivarium.core.evidence.Overdispersion.WayCounts;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * All batches of a nursery as evidence. For any way in any season it gives the strike rate and the times, borrowed down nested
 * levels: the guide, then method and medium over all plant groups, then the group with the same method, then this plant with
 * this method, then the way itself in its other seasons, then in this one. Each level holds only batches that no closer level
 * holds.
 *
 * <p>Finished batches speak first. A running batch is weighed against what they say, and then counts as the finished batch that
 * would tell the same; so none is its own evidence.
 *
 * <p>Immutable; what is asked for is reckoned when first asked for and kept.
 */
public final class NurseryRecord {

    private final Map<WayInSeason, WayGroup> groups;
    private final Map<String, List<WayGroup>> byMethod;
    private final Function<Way, GuideFigures> asked;
    private final Function<Way, GuideFigures> guide;
    private final List<CountedWay> finished;
    private final Overdispersion spread;
    private final TimeEvidence readyTimes;
    private final TimeEvidence firstSignTimes;
    private final Finished past;
    private final Neighbours neighbours;
    private final Map<WayInSeason, StrikeRate> rates = new ConcurrentHashMap<>();
    private final Map<SumOf, StrikeRate.Sum> runningSums = new ConcurrentHashMap<>();
    private final Map<WayInSeason, RootingTime> ready = new ConcurrentHashMap<>();
    private final Map<WayInSeason, Optional<RootingTime>> firstSign = new ConcurrentHashMap<>();

    private NurseryRecord(
            Map<WayInSeason, WayGroup> groups,
            Function<Way, GuideFigures> asked,
            Function<Way, GuideFigures> guide,
            List<CountedWay> finished,
            Overdispersion spread,
            Finished past,
            Neighbours neighbours,
            NurseryRecord before) {
        this.groups = groups;
        this.neighbours = neighbours;
        this.byMethod = groups.values().stream()
                .collect(Collectors.groupingBy(g -> g.of().way().method()));
        this.asked = asked;
        this.guide = guide;
        this.finished = finished;
        this.spread = spread;
        this.past = past;
        if (past.readyTimes == null) {
            // How far batches spread in time is learned from running ones too, while there are few.
            List<WayBatch> told = groups.values().stream()
                    .flatMap(g -> (past.isGrown() ? g.finished() : g.all()).stream())
                    .toList();
            past.readyTimes = ready(told, before == null ? null : before.past.readyTimes);
            past.firstSignTimes = firstSign(told, before == null ? null : before.past.firstSignTimes);
        }
        if (past.isGrown()) {
            List<WayBatch> running =
                    groups.values().stream().flatMap(g -> g.running().stream()).toList();
            this.readyTimes = past.readyTimes.withRunning(running, before == null ? null : before.readyTimes);
            this.firstSignTimes =
                    past.firstSignTimes.withRunning(running, before == null ? null : before.firstSignTimes);
        } else {
            this.readyTimes = past.readyTimes;
            this.firstSignTimes = past.firstSignTimes;
        }
    }

    private TimeEvidence ready(List<WayBatch> of, TimeEvidence before) {
        return new TimeEvidence(
                of,
                WayBatch::ready,
                w -> Optional.of(guide.apply(w).ready()),
                w -> guide.apply(w).worth().days(),
                b -> finishedRate(WayInSeason.of(b)).nextBatch(),
                before);
    }

    private TimeEvidence firstSign(List<WayBatch> of, TimeEvidence before) {
        return new TimeEvidence(
                of,
                b -> b.isFirstSignLookedFor() ? b.firstSign() : Tallies.none(),
                w -> guide.apply(w).firstSign(),
                w -> guide.apply(w).worth().days(),
                b -> finishedFirstSign(WayInSeason.of(b)).nextBatch(),
                before);
    }

    /** Finished batches of a way in a season, as evidence where the guide says another rate, of ready or of first sign. */
    private record SumOf(WayInSeason of, double asked, boolean firstSign) {}

    /** What follows from finished batches alone: it stands as long as they do, whatever is seen of running ones. */
    private static final class Finished {

        private final Map<WayBatch, Long> batches;
        private final boolean grown;
        private final Map<Way, Past> pasts = new ConcurrentHashMap<>();
        private final Map<WayInSeason, StrikeRate> rates = new ConcurrentHashMap<>();
        private final Map<WayInSeason, StrikeRate> firstSigns = new ConcurrentHashMap<>();
        private final Map<WayInSeason, BatchPrior> priors = new ConcurrentHashMap<>();
        private final Map<WayBatch, Optional<Tells>> running = new ConcurrentHashMap<>();
        private final Map<SumOf, StrikeRate.Sum> sums = new ConcurrentHashMap<>();
        private final Map<WayInSeason, FailedSum> failed = new ConcurrentHashMap<>();
        private volatile Double disagreement;
        private TimeEvidence readyTimes;
        private TimeEvidence firstSignTimes;

        private Finished(Map<WayBatch, Long> batches, boolean grown) {
            this.batches = batches;
            this.grown = grown;
        }

        /** Of these batches, each with how many are alike to the last count; each of them counts. */
        private static Finished of(List<WayBatch> told, Neighbours neighbours, NurseryRecord before) {
            Map<WayBatch, Long> over =
                    told.stream().collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
            boolean grown = told.size() >= Overdispersion.ENOUGH_BATCHES;
            return grown
                            && before != null
                            && before.past.isGrown()
                            && before.neighbours == neighbours
                            && before.past.batches.equals(over)
                    ? before.past
                    : new Finished(over, grown);
        }

        /** Whether enough batches are finished that running ones are not asked how far batches spread. */
        boolean isGrown() {
            return grown;
        }
    }

    /**
     * What is the same object for two records only when the same batches, and enough of them, are finished in both: whatever follows from those and from
     * a batch's own looks may be kept under it.
     */
    public Object finishedOnly() {
        return past;
    }

    /** Finished counts of a way in one season, in a form that can be compared with an earlier record's. */
    private record CountedWay(WayInSeason asked, List<List<Integer>> counts) {}

    /**
     * A record of the batches.
     *
     * @param batches all batches with at least one piece stuck
     * @param guide what the guide says of any way in season
     */
    public static NurseryRecord of(Collection<WayBatch> batches, Function<Way, GuideFigures> guide) {
        return of(batches, guide, Neighbours.NONE);
    }

    /** The same with what neighbours have given. */
    public static NurseryRecord of(
            Collection<WayBatch> batches, Function<Way, GuideFigures> guide, Neighbours neighbours) {
        return make(batches, guide, neighbours, null);
    }

    /** What neighbours have given. */
    public Neighbours neighbours() {
        return neighbours;
    }

    /** How far neighbours and this nursery differ on ways that both have done: a standard deviation of log-odds. */
    public double disagreement() {
        Double known = past.disagreement;
        if (known == null) {
            Map<Way, StrikeRate.Sum> own = new LinkedHashMap<>();
            groups.forEach((of, group) -> {
                if (!group.finished().isEmpty()) {
                    own.merge(of.way(), sum(group, guideRate(of), Counted.FINISHED), StrikeRate.Sum::and);
                }
            });
            known = neighbours.disagreement(
                    own.entrySet().stream().map(e -> new Neighbours.OwnWay(e.getKey(), e.getValue())), spread.rho());
            past.disagreement = known;
        }
        return Math.sqrt(known);
    }

    /**
     * The record after some batches have changed. What is heard of each batch's speed is kept where the batch, and the rate it
     * is judged by, stand as they were; the spread between batches where no finished batch has changed.
     */
    public NurseryRecord updated(Collection<WayBatch> now) {
        return make(now, asked, neighbours, this);
    }

    /** The same batches, and these neighbours instead of those. */
    public NurseryRecord beside(Neighbours others) {
        return make(groups.values().stream().flatMap(g -> g.all().stream()).toList(), asked, others, this);
    }

    /**
     * The same where it is known what changed: where that are running batches alone, nothing else is looked at again.
     *
     * @param gone batches as they were told before and are told no more
     * @param come as they are told now
     * @param all all of them as they are told now, asked for where it is needed
     */
    public NurseryRecord updated(
            Collection<WayBatch> gone, Collection<WayBatch> come, Supplier<Collection<WayBatch>> all) {
        if (!past.isGrown()
                || gone.stream().anyMatch(WayBatch::isFinished)
                || come.stream().anyMatch(WayBatch::isFinished)) {
            return make(all.get(), asked, neighbours, this);
        }
        Map<WayInSeason, List<WayBatch>> changed = new LinkedHashMap<>();
        gone.forEach(
                b -> changed.computeIfAbsent(WayInSeason.of(b), this::batchesOf).remove(b));
        come.forEach(b -> {
            Objects.requireNonNull(guide.apply(b.way()), "the guide says something of every way");
            changed.computeIfAbsent(WayInSeason.of(b), this::batchesOf).add(b);
        });
        Map<WayInSeason, WayGroup> now = new LinkedHashMap<>(groups);
        changed.forEach((of, batches) -> {
            if (batches.isEmpty()) {
                now.remove(of);
            } else {
                now.put(of, new WayGroup(of, batches));
            }
        });
        return new NurseryRecord(now, asked, guide, finished, spread, past, neighbours, this);
    }

    private List<WayBatch> batchesOf(WayInSeason of) {
        return groups.containsKey(of) ? new ArrayList<>(groups.get(of).all()) : new ArrayList<>();
    }

    private static NurseryRecord make(
            Collection<WayBatch> batches,
            Function<Way, GuideFigures> guide,
            Neighbours neighbours,
            NurseryRecord before) {
        List<WayBatch> all = List.copyOf(batches);
        // Asked once a way, and here: later it is asked from other threads too.
        Map<Way, GuideFigures> figures = new ConcurrentHashMap<>();
        Function<Way, GuideFigures> known = w -> kept(figures, w, guide);
        all.forEach(b -> kept(figures, b.way(), guide));
        Map<WayInSeason, List<List<Integer>>> counts = new LinkedHashMap<>();
        for (WayBatch b : all) {
            if (b.isFinished()) {
                counts.computeIfAbsent(WayInSeason.of(b), w -> new ArrayList<>())
                        .add(List.of(b.kept(), b.judgeable()));
            }
        }
        List<CountedWay> finished = counts.entrySet().stream()
                .map(e -> new CountedWay(e.getKey(), List.copyOf(e.getValue())))
                .toList();
        Overdispersion spread = before != null && before.finished.equals(finished)
                ? before.spread
                : Overdispersion.estimate(finished.stream()
                        .map(c -> new WayCounts(
                                known.apply(c.asked().way()).rate()
                                        * c.asked().season().poorer(),
                                c.counts().stream()
                                        .map(k -> new int[] {k.get(0), k.get(1)})
                                        .toList()))
                        .toList());
        Map<WayInSeason, WayGroup> groups = new LinkedHashMap<>();
        all.stream()
                .collect(Collectors.groupingBy(WayInSeason::of, LinkedHashMap::new, Collectors.toList()))
                .forEach((of, done) -> groups.put(of, new WayGroup(of, done)));
        Finished past = Finished.of(all.stream().filter(WayBatch::isFinished).toList(), neighbours, before);
        return new NurseryRecord(groups, guide, known, finished, spread, past, neighbours, before);
    }

    /** The spread between batches beyond chance. */
    public Overdispersion spread() {
        return spread;
    }

    /** How much batches differ in speed, to ready. */
    public SpeedSpread speed() {
        return readyTimes.speed();
    }

    /** Whether fewer than twenty batches are finished: then intervals are rougher, and pages say so. */
    public boolean isYoung() {
        return spread.batches() < Overdispersion.ENOUGH_BATCHES;
    }

    /** All ways that have batches, each with its batches. */
    public Map<Way, List<WayBatch>> ways() {
        Map<Way, List<WayBatch>> ways = new LinkedHashMap<>();
        groups.forEach((of, group) ->
                ways.computeIfAbsent(of.way(), w -> new ArrayList<>()).addAll(group.all()));
        return ways;
    }

    /** The batches done in just this way. */
    public List<WayBatch> of(Way way) {
        return byMethod.getOrDefault(way.method(), List.of()).stream()
                .filter(g -> g.of().way().equals(way))
                .flatMap(g -> g.all().stream())
                .toList();
    }

    /**
     * What finished batches of a way have given.
     *
     * @param pieces judged
     * @param kept of those, ready
     */
    public record Past(int pieces, int kept) {}

    /** What the finished batches done in just this way have given, whatever the season. */
    public Past past(Way way) {
        return kept(past.pasts, way, w -> {
            int pieces = 0;
            int ready = 0;
            for (WayGroup g : byMethod.getOrDefault(w.method(), List.of())) {
                if (g.of().way().equals(w)) {
                    pieces +=
                            g.finished().stream().mapToInt(WayBatch::judgeable).sum();
                    ready += g.finished().stream().mapToInt(WayBatch::kept).sum();
                }
            }
            return new Past(pieces, ready);
        });
    }

    /** What the guide says of a way in season. */
    public GuideFigures guide(Way way) {
        return guide.apply(way);
    }

    /** The mean strike rate of a way in season, with batches or without. */
    public StrikeRate strike(Way way) {
        return strike(way, SeasonFactors.IN_SEASON);
    }

    /** The mean strike rate of a way in a season: no factor is to be put to it afterwards. */
    public StrikeRate strike(Way way, SeasonFactors season) {
        return kept(rates, new WayInSeason(way, season), a -> rate(a, Counted.ALL));
    }

    /** The time to ready of a way in season. */
    public RootingTime ready(Way way) {
        return ready(way, SeasonFactors.IN_SEASON);
    }

    /** The time to ready of a way in a season. */
    public RootingTime ready(Way way, SeasonFactors season) {
        return kept(
                ready,
                new WayInSeason(way, season),
                a -> readyTimes.time(a, groups(a), false).orElseThrow());
    }

    /** The time to first sign of a way in a season; empty where there is none. */
    public Optional<RootingTime> firstSign(Way way, SeasonFactors season) {
        return kept(firstSign, new WayInSeason(way, season), a -> firstSignTimes.time(a, groups(a), false));
    }

    /** What a batch of the way in the season is weighed against: from finished batches alone. */
    public BatchPrior prior(Way way, SeasonFactors season) {
        return kept(past.priors, new WayInSeason(way, season), this::prior);
    }

    /** The same for first sign; empty where there is none. */
    public Optional<BatchPrior> firstSignPrior(Way way, SeasonFactors season) {
        WayInSeason asked = new WayInSeason(way, season);
        FailuresShown shown = prior(way, season).shown();
        return past.firstSignTimes
                .time(asked, groups(asked), true)
                .map(time -> new BatchPrior(finishedFirstSign(asked).nextBatch(), time, shown));
    }

    /** The strike rate of a way in a season as finished batches alone have it: the mean of which running ones are drawn. */
    public StrikeRate finishedStrike(Way way, SeasonFactors season) {
        return finishedRate(new WayInSeason(way, season));
    }

    /** The share of pieces that reach first sign, as finished batches have it. */
    public StrikeRate firstSignRate(Way way, SeasonFactors season) {
        return finishedFirstSign(new WayInSeason(way, season));
    }

    /**
     * The share that survives the callus stage, stuck of taken.
     *
     * @param guideSurvival what the guide says, 0 to 1, both excluded
     */
    public StrikeRate callusSurvival(Way way, double guideSurvival) {
        return share(
                way,
                guideSurvival,
                guide.apply(way).worth().callus(),
                b -> b.taken() == 0
                        ? Optional.empty()
                        : Optional.of(new BatchCount(Math.min(b.stuck(), b.taken()), b.taken())));
    }

    /**
     * The share of young plants that settle, of those of which it was asked.
     *
     * @param guideRate what the guide says, 0 to 1, both excluded
     */
    public StrikeRate establishment(Way way, double guideRate) {
        return share(
                way,
                guideRate,
                guide.apply(way).worth().settling(),
                b -> b.moved().of() == 0
                        ? Optional.empty()
                        : Optional.of(
                                new BatchCount(b.moved().settled(), b.moved().of())));
    }

    private StrikeRate share(
            Way way, double guideRate, double guidePieces, Function<WayBatch, Optional<BatchCount>> count) {
        WayInSeason asked = new WayInSeason(way, SeasonFactors.IN_SEASON);
        List<Level> levels = levels(asked).stream()
                .map(l -> new Level(
                        l.closeness(),
                        l.groups().stream()
                                .flatMap(g -> g.all().stream())
                                .flatMap(b -> count.apply(b).stream())
                                .toList()))
                .toList();
        return StrikeRate.of(guideRate, guidePieces, levels, spread.rho());
    }

    private StrikeRate finishedRate(WayInSeason asked) {
        return kept(past.rates, asked, a -> rate(a, Counted.FINISHED));
    }

    private StrikeRate finishedFirstSign(WayInSeason asked) {
        return kept(past.firstSigns, asked, a -> rate(a, Counted.FIRST_SIGN));
    }

    /** Which batches are counted, and for what. */
    private enum Counted {
        /** Finished ones, and running ones as what they tell. */
        ALL,
        FINISHED,
        /** Finished ones, for their first sign. */
        FIRST_SIGN
    }

    /** What the guide says of a way in a season. */
    private double guideRate(WayInSeason of) {
        return guide.apply(of.way()).rate() * of.season().poorer();
    }

    private StrikeRate rate(WayInSeason asked, Counted counted) {
        double rate = guideRate(asked);
        List<StrikeRate.Summed> levels = new ArrayList<>();
        for (Batches level : levels(asked)) {
            if (level.closeness() == Closeness.OTHER_WAYS && !neighbours.isEmpty() && counted != Counted.FIRST_SIGN) {
                // Nearer than other plants here, since it is the very way; farther than this plant.
                double apart = disagreement();
                neighbours.level(asked.way(), spread.rho(), apart * apart).ifPresent(levels::add);
            }
            StrikeRate.Sum sum = StrikeRate.Sum.NONE;
            for (WayGroup group : level.groups()) {
                sum = sum.and(sum(group, rate, counted));
            }
            levels.add(sum.at(level.closeness()));
        }
        return StrikeRate.ofSums(rate, guide.apply(asked.way()).worth().rate(), levels, spread.rho());
    }

    private StrikeRate.Sum sum(WayGroup group, double asked, Counted counted) {
        double own = guideRate(group.of());
        boolean sign = counted == Counted.FIRST_SIGN;
        StrikeRate.Sum finished = kept(
                past.sums,
                new SumOf(group.of(), asked, sign),
                k -> group.finished().stream()
                        .map(b -> StrikeRate.Sum.of(
                                (sign ? firstSignCount(b) : finishedCount(b)).speakingFor(asked, own),
                                b.counts(),
                                spread.rho()))
                        .reduce(StrikeRate.Sum.NONE, StrikeRate.Sum::and));
        return counted != Counted.ALL || group.running().isEmpty()
                ? finished
                : finished.and(kept(
                        runningSums,
                        new SumOf(group.of(), asked, false),
                        k -> StrikeRate.Sum.of(
                                ofRunning(group.running()).stream()
                                        .map(c -> c.speakingFor(asked, own))
                                        .toList(),
                                spread.rho())));
    }

    /**
     * Running batches of one way as the finished ones that would tell the same together. How fast their way is they all share:
     * whether pieces that wait are slow or will never come is then not told any better by four batches than by one. With n* what
     * each tells, and o* what it would tell were its way's time known, all together tell Σo* ÷ (Σ(o*÷n*) − r + 1) of the r, for
     * r errors that have a part in common.
     */
    private List<BatchCount> ofRunning(List<WayBatch> running) {
        List<Tells> told = running.stream().flatMap(b -> tells(b).stream()).toList();
        if (told.size() < 2) {
            return told.stream().map(Tells::count).toList();
        }
        double each = 0;
        double known = 0;
        double ratios = 0;
        for (Tells t : told) {
            double ifKnown = Math.max(t.count().of(), t.ifTimeWereKnown());
            each += t.count().of();
            known += ifKnown;
            ratios += ifKnown / t.count().of();
        }
        double together = known / (ratios - told.size() + 1);
        double part = Math.min(1, together / each);
        return told.stream()
                .map(t ->
                        new BatchCount(part * t.count().kept(), part * t.count().of()))
                .toList();
    }

    private static BatchCount finishedCount(WayBatch b) {
        return new BatchCount(b.kept(), b.judgeable());
    }

    private static BatchCount firstSignCount(WayBatch b) {
        return new BatchCount(
                b.isFirstSignLookedFor() ? Math.min(b.judgeable(), b.firstSign().total(Outcome.REACHED)) : b.kept(),
                b.judgeable());
    }

    /**
     * A running batch as the finished one that would tell the same.
     *
     * @param count k* of n*
     * @param ifTimeWereKnown n*, were it known how fast its way is
     */
    private record Tells(BatchCount count, double ifTimeWereKnown) {}

    private Optional<Tells> tells(WayBatch b) {
        return kept(past.running, b, this::weighed);
    }

    private Optional<Tells> weighed(WayBatch b) {
        if (b.ready().lastLook() == 0 || b.judgeable() == 0) {
            return Optional.empty();
        }
        BatchPrior prior = prior(b.way(), b.season());
        double[] tells = RunningBatch.of(prior, b.ready()).asFinished(prior.rate(), b.judgeable());
        // Less than a tenth of a piece says nothing, and would only add a batch to the list of evidence.
        if (tells[1] < 0.1) {
            return Optional.empty();
        }
        RootingTime known = prior.time().withShift(prior.time().shift());
        double ifKnown = RunningBatch.of(new BatchPrior(prior.rate(), known, prior.shown()), b.ready())
                .asFinished(prior.rate(), b.judgeable())[1];
        return Optional.of(new Tells(new BatchCount(Math.min(tells[0], tells[1]), tells[1]), ifKnown));
    }

    private BatchPrior prior(WayInSeason asked) {
        List<List<WayGroup>> levels = groups(asked);
        RootingTime time = past.readyTimes.time(asked, levels, true).orElseThrow();
        Window own = guide.apply(asked.way()).ready();
        double median = own.mu() + Math.log(asked.season().slower());
        List<List<ShownByRecord.Failed>> failed = new ArrayList<>();
        for (List<WayGroup> level : levels) {
            List<ShownByRecord.Failed> here = new ArrayList<>();
            for (WayGroup g : level) {
                FailedSum sum = kept(
                        past.failed,
                        g.of(),
                        of -> FailedSum.of(
                                g.finished().stream().map(WayBatch::ready).toList(), spread.rho()));
                if (sum.isAny()) {
                    double theirs = guide.apply(g.of().way()).ready().mu()
                            + Math.log(g.of().season().slower());
                    here.add(new ShownByRecord.Failed(sum, Math.exp(theirs - median)));
                }
            }
            failed.add(here);
        }
        return new BatchPrior(finishedRate(asked).nextBatch(), time, new ShownByRecord(time, failed, spread.rho()));
    }

    /** Not computeIfAbsent: what is reckoned asks for other ways, and may ask for much. */
    private static <K, V> V kept(Map<K, V> map, K key, Function<K, V> reckon) {
        V known = map.get(key);
        if (known == null) {
            known = reckon.apply(key);
            map.put(key, known);
        }
        return known;
    }

    private record Batches(Closeness closeness, List<WayGroup> groups) {}

    private List<List<WayGroup>> groups(WayInSeason asked) {
        return levels(asked).stream().map(Batches::groups).toList();
    }

    /** From the widest to the closest level; each batch is in the closest that it fits. */
    private List<Batches> levels(WayInSeason asked) {
        Way way = asked.way();
        List<WayGroup> sameSeason = new ArrayList<>();
        List<WayGroup> otherSeason = new ArrayList<>();
        List<WayGroup> samePlant = new ArrayList<>();
        List<WayGroup> sameKind = new ArrayList<>();
        List<WayGroup> sameGroup = new ArrayList<>();
        List<WayGroup> sameMedium = new ArrayList<>();
        for (WayGroup g : byMethod.getOrDefault(way.method(), List.of())) {
            Way other = g.of().way();
            if (other.equals(way)) {
                (asked.isSameSeason(g.of()) ? sameSeason : otherSeason).add(g);
            } else if (other.plant().equals(way.plant())) {
                samePlant.add(g);
            } else if (!way.kind().isEmpty() && other.kind().equals(way.kind())) {
                sameKind.add(g);
            } else if (other.group().equals(way.group())) {
                sameGroup.add(g);
            } else if (other.medium().equals(way.medium())) {
                sameMedium.add(g);
            }
        }
        return List.of(
                new Batches(Closeness.OTHER_GROUPS, sameMedium),
                new Batches(Closeness.OTHER_PLANTS, sameGroup),
                new Batches(Closeness.SAME_KIND, sameKind),
                new Batches(Closeness.OTHER_WAYS, samePlant),
                new Batches(Closeness.OTHER_SEASON, otherSeason),
                new Batches(Closeness.THIS_WAY, sameSeason));
    }
}
