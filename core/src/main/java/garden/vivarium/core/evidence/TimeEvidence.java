package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/**
 * What all batches of a nursery say of the time to one milestone: of each batch's speed, of the spread within batches by method
 * and group, of the spread between batches, and of any way.
 */
final class TimeEvidence {

    /** Variance that is added where a level's time is handed on to the next: neighbours need not run alike. */
    private static final double HANDED_ON = 0.15 * 0.15;

    private final Function<WayBatch, Tallies> milestone;
    private final Function<Way, Optional<Window>> guide;
    private final ToDoubleFunction<Way> unsure;
    private final Function<WayBatch, NextBatch> rate;
    private final Map<Kind, List<WayBatch>> kinds;
    private final Map<WayBatch, Heard> heard;
    private final Map<WayBatch, Told> told;
    private final Map<Kind, Double> factors = new ConcurrentHashMap<>();
    private final Map<WayBatch, SpeedMessage> messages = new ConcurrentHashMap<>();
    private final Map<PoolOf, Pooled> pools = new ConcurrentHashMap<>();
    /** Evidence from which it is known how far times spread, and what its batches say; null where that is this one. */
    private final TimeEvidence settled;

    private SpeedSpread speed;

    /** Within which the spread of times is common: a method in a group of plants. */
    private record Kind(String method, String group) {

        static Kind of(Way way) {
            return new Kind(way.method(), way.group());
        }
    }

    /**
     * What was heard of a batch, and under which rate: it stands as long as that does.
     *
     * @param rate under which it was heard; null where it does not matter
     * @param logEvidence ln E at each of the factors of spread
     */
    private record Heard(NextBatch rate, double[] logEvidence) {}

    /** The message of a batch at a spread, by what was heard of it. */
    private record Told(Heard heard, double within, SpeedMessage message) {}

    /**
     * Evidence of one milestone.
     *
     * @param batches all batches
     * @param milestone the tallies that speak of it
     * @param guide the guide's window for it
     * @param unsure variance of ln(days) around that window
     * @param rate a batch's rate, as known from finished batches
     * @param before the same of an earlier record, of which what still stands is kept; null for none
     */
    TimeEvidence(
            List<WayBatch> batches,
            Function<WayBatch, Tallies> milestone,
            Function<Way, Optional<Window>> guide,
            ToDoubleFunction<Way> unsure,
            Function<WayBatch, NextBatch> rate,
            TimeEvidence before) {
        this.milestone = milestone;
        this.guide = guide;
        this.unsure = unsure;
        this.rate = rate;
        this.heard = new ConcurrentHashMap<>();
        this.told = new ConcurrentHashMap<>();
        this.settled = null;
        this.kinds = kinds(batches);
        if (before != null) {
            kinds.values().forEach(of -> takesOver(of, before));
        }
    }

    /**
     * This with batches that still run. How far times spread stands as it is, and so does what the batches here say; only of the
     * running ones is anything heard anew.
     *
     * @param running those that still run
     * @param before the same of an earlier record, of which what still stands is kept; null for none
     */
    TimeEvidence withRunning(List<WayBatch> running, TimeEvidence before) {
        TimeEvidence with = new TimeEvidence(this);
        if (before != null) {
            with.takesOver(running, before);
        }
        return with;
    }

    private TimeEvidence(TimeEvidence settled) {
        this.milestone = settled.milestone;
        this.guide = settled.guide;
        this.unsure = settled.unsure;
        this.rate = settled.rate;
        this.heard = new ConcurrentHashMap<>();
        this.told = new ConcurrentHashMap<>();
        this.kinds = Map.of();
        this.settled = settled;
    }

    private void takesOver(List<WayBatch> batches, TimeEvidence before) {
        for (WayBatch b : batches) {
            Heard then = before.heard.get(b);
            Told said = before.told.get(b);
            if (then != null) {
                heard.put(b, then);
            }
            if (said != null) {
                told.put(b, said);
            }
        }
    }

    private Map<Kind, List<WayBatch>> kinds(List<WayBatch> batches) {
        return batches.stream().filter(this::isTold).collect(Collectors.groupingBy(b -> Kind.of(b.way())));
    }

    /**
     * What the batches of a way in a season say together.
     *
     * @param batches how many are told of
     * @param precision q ÷ (1 + qτ²), summed
     * @param weighted r ÷ (1 + qτ²), summed
     */
    private record Pooled(int batches, double precision, double weighted) {

        Pooled and(Pooled other) {
            return new Pooled(batches + other.batches, precision + other.precision, weighted + other.weighted);
        }
    }

    /** Of which batches: the same of one evidence always, whichever record asks. */
    private record PoolOf(WayInSeason way, boolean finishedOnly) {}

    private Pooled pool(List<WayBatch> of, double tau) {
        int batches = 0;
        double precision = 0;
        double weighted = 0;
        for (WayBatch b : of) {
            if (isTold(b)) {
                SpeedMessage m = message(b);
                precision += m.q() / (1 + m.q() * tau * tau);
                weighted += m.r() / (1 + m.q() * tau * tau);
                batches++;
            }
        }
        return new Pooled(batches, precision, weighted);
    }

    /**
     * The time of a way, from the batches of each level, the widest first; empty where the guide has no such time.
     *
     * @param finishedOnly whether finished batches alone are asked
     */
    Optional<RootingTime> time(WayInSeason asked, List<List<WayGroup>> levels, boolean finishedOnly) {
        return guide.apply(asked.way()).map(window -> {
            double tau = speed().tau();
            double precision = 1 / unsure.applyAsDouble(asked.way());
            double weighted = 0;
            int batches = 0;
            for (int i = 0; i < levels.size(); i++) {
                int told = 0;
                for (WayGroup group : levels.get(i)) {
                    Pooled known = pooled(group, finishedOnly, tau);
                    told += known.batches();
                    precision += known.precision();
                    weighted += known.weighted();
                }
                if (told == 0) {
                    continue;
                }
                batches += told;
                if (i < levels.size() - 1) {
                    double mean = weighted / precision;
                    precision = 1 / (1 / precision + HANDED_ON);
                    weighted = mean * precision;
                }
            }
            return new RootingTime(
                    guideMu(window, asked.season().slower()),
                    weighted / precision,
                    1 / precision,
                    tau,
                    within(asked.way(), window),
                    batches);
        });
    }

    private Pooled pooled(WayGroup group, boolean finishedOnly, double tau) {
        if (settled != null) {
            Pooled finished = settled.pooled(group, true, tau);
            return finishedOnly || group.running().isEmpty()
                    ? finished
                    : finished.and(kept(new PoolOf(group.of(), false), group.running(), tau));
        }
        return kept(new PoolOf(group.of(), finishedOnly), finishedOnly ? group.finished() : group.all(), tau);
    }

    private Pooled kept(PoolOf of, List<WayBatch> batches, double tau) {
        Pooled known = pools.get(of);
        if (known == null) {
            known = pool(batches, tau);
            pools.put(of, known);
        }
        return known;
    }

    /** How much batches differ in speed: one for the nursery. */
    synchronized SpeedSpread speed() {
        if (settled != null) {
            return settled.speed();
        }
        if (speed == null) {
            List<WayBatch> all = kinds.values().stream().flatMap(List::stream).toList();
            all.parallelStream().forEach(this::message);
            Map<Way, List<SpeedMessage>> ways = new HashMap<>();
            all.forEach(
                    b -> ways.computeIfAbsent(b.way(), w -> new ArrayList<>()).add(message(b)));
            speed = SpeedSpread.of(ways.values());
        }
        return speed;
    }

    private boolean isTold(WayBatch b) {
        return milestone.apply(b).lastDay() > 0 && guide.apply(b.way()).isPresent();
    }

    private double within(Way way, Window window) {
        return RootingTime.guideWithin(window) * factor(Kind.of(way));
    }

    private double factor(Kind kind) {
        if (settled != null) {
            return settled.factor(kind);
        }
        Double known = factors.get(kind);
        if (known == null) {
            // Not within computeIfAbsent: what is reckoned there may take long, and asks of other kinds.
            known = WithinSpread.of(kinds.getOrDefault(kind, List.of()).stream()
                    .map(b -> heard(b).logEvidence())
                    .toList());
            factors.put(kind, known);
        }
        return known;
    }

    private SpeedMessage message(WayBatch b) {
        SpeedMessage known = messages.get(b);
        if (known == null) {
            Window window = guide.apply(b.way()).orElseThrow();
            double within = within(b.way(), window);
            Heard now = heard(b);
            Told then = told.get(b);
            if (then == null || then.heard() != now || then.within() != within) {
                then = new Told(
                        now,
                        within,
                        SpeedMessage.of(
                                milestone.apply(b), guideMu(window, b.season().slower()), within, rate.apply(b)));
                told.put(b, then);
            }
            known = then.message();
            messages.put(b, known);
        }
        return known;
    }

    private Heard heard(WayBatch b) {
        Tallies tallies = milestone.apply(b);
        boolean waits = tallies.total(Outcome.PENDING) + tallies.total(Outcome.SENT) > 0;
        NextBatch now = waits ? rate.apply(b) : null;
        Heard known = heard.get(b);
        if (known != null && (now == null || now.equals(known.rate()))) {
            return known;
        }
        Window window = guide.apply(b.way()).orElseThrow();
        double[] logs = new double[WithinSpread.FACTORS.length];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = SpeedMessage.of(
                            tallies,
                            guideMu(window, b.season().slower()),
                            RootingTime.guideWithin(window) * WithinSpread.FACTORS[i],
                            now == null ? NextBatch.EVEN : now)
                    .logEvidence();
        }
        Heard said = new Heard(now, logs);
        heard.put(b, said);
        return said;
    }

    private static double guideMu(Window window, double slower) {
        return window.mu() + Math.log(slower);
    }
}
