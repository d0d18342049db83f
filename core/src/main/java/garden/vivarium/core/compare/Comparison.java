package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What made the difference: batches that were one way beside those that were another, within the same plant and method where both were tried
 * there, with what else differed between them. Better is said from 0.95 up, and only where nothing that came along explains it as well.
 *
 * @param asked what is asked
 * @param first the first side
 * @param second the second
 * @param difference of their rates; empty where fewer than three batches can be set against each other
 * @param strata the plants and methods that both sides have, with effective counts; what carries the answer
 * @param others what else differed, the most first
 * @param verdict what can be said
 */
public record Comparison(
        Asked asked,
        Side first,
        Side second,
        Optional<Difference> difference,
        List<Strata.Table> strata,
        List<Other> others,
        Verdict verdict) {

    /** Whether both sides have batches with nothing to be set against. */
    public boolean isLeftOfBoth() {
        return first.left() > 0 && second.left() > 0;
    }

    /** From so much on two sides differ in something else, as a share of batches that would have to change. */
    static final double DIFFERS = 0.3;

    /** With what came along allowed for, so much certainty must be left. */
    private static final double LEFT = 0.9;

    /** A difference within this is none that matters: one young plant in ten. */
    public static final double MATTERS = 0.1;

    private static final int FEWEST = 2;

    /** A question: the factor, and the two values that are set against each other. */
    public record Asked(Factor factor, String first, String second) {}

    /**
     * One side.
     *
     * @param value which
     * @param batches how many of them can be set against the other side
     * @param pieces judged in those
     * @param kept of these
     * @param left batches of it that have nothing to be set against
     */
    public record Side(String value, int batches, double pieces, double kept, int left) {

        /** Its share as counted, 0 where nothing was. */
        public double share() {
            return pieces == 0 ? 0 : kept / pieces;
        }
    }

    /**
     * What else differed.
     *
     * @param factor in what
     * @param share of batches that would have to be otherwise for both sides to be alike, 0 to 1
     * @param usualFirst what most of the first side were
     * @param shareFirst what share of them
     * @param usualSecond what most of the second side were
     * @param shareSecond what share
     * @param allowedFor the difference among batches that are alike in it too; empty where there are too few
     */
    public record Other(
            Factor factor,
            double share,
            String usualFirst,
            double shareFirst,
            String usualSecond,
            double shareSecond,
            Optional<Difference> allowedFor) {

        /** Whether it may be the cause as well: among batches alike in it too not enough of the difference is left, or there are too few. */
        boolean mayExplain(Difference d) {
            return allowedFor
                    .map(a -> d.isBetter() ? a.chance() < LEFT : a.chance() > 1 - LEFT)
                    .orElse(true);
        }
    }

    /** What can be said. */
    public enum Verdict implements Rule {
        /** The first is better. */
        FIRST,
        /** The second is better. */
        SECOND,
        /** They differ, but something that came along may be the cause. */
        MIXED,
        /** They are alike to one in ten. */
        ALIKE,
        /** Not enough to say. */
        TOO_LITTLE;

        /** Whether a trial would settle it. */
        public boolean isUnsettled() {
            return this == MIXED || this == TOO_LITTLE;
        }
    }

    /**
     * Compares.
     *
     * @param all finished batches of the plants, or of the nursery, that are asked about
     * @param rho how alike pieces of one batch are, 0 to 1
     */
    public static Comparison of(Asked asked, List<FinishedBatch> all, double rho) {
        return of(asked, all, rho, Sharing.NONE);
    }

    /**
     * The same, allowing for what batches share.
     *
     * @param sharing what was found to be shared
     */
    public static Comparison of(Asked asked, List<FinishedBatch> all, double rho, Sharing sharing) {
        List<FinishedBatch> sides =
                all.stream().filter(b -> value(b, asked).isPresent()).toList();
        Set<Factor> within = within(asked);
        Matched matched = Matched.of(asked, sides, within, rho, sharing);
        Optional<Difference> difference = matched.difference();
        List<Other> others = others(asked, matched, within, rho, sharing);
        return new Comparison(
                asked,
                side(asked.first(), asked, sides, matched),
                side(asked.second(), asked, sides, matched),
                difference,
                matched.strata().tables(),
                others,
                verdict(difference, others));
    }

    /**
     * How far two values are apart in standard deviations, roughly: to see which of many questions are worth asking in full.
     *
     * @return the root of Mantel and Haenszel's statistic on effective counts; empty where nothing can be set side by side
     */
    static Optional<Double> roughly(Asked asked, List<FinishedBatch> all, double rho) {
        List<FinishedBatch> sides =
                all.stream().filter(b -> value(b, asked).isPresent()).toList();
        Strata strata =
                Matched.of(asked, sides, within(asked), rho, Sharing.NONE).strata();
        return strata.isEmpty() ? Optional.empty() : Optional.of(Math.sqrt(strata.statistic()));
    }

    /** In what batches must be alike to be set against each other. */
    private static Set<Factor> within(Asked asked) {
        Set<Factor> within = new LinkedHashSet<>(List.of(Factor.PLANT, Factor.METHOD));
        within.remove(asked.factor());
        return within;
    }

    private static Optional<Boolean> value(FinishedBatch b, Asked asked) {
        return b.is(asked.factor())
                .flatMap(v -> v.equals(asked.first())
                        ? Optional.of(true)
                        : v.equals(asked.second()) ? Optional.of(false) : Optional.empty());
    }

    private static boolean isFirst(FinishedBatch b, Asked asked) {
        return value(b, asked).orElseThrow();
    }

    private static Side side(String value, Asked asked, List<FinishedBatch> sides, Matched matched) {
        boolean first = value.equals(asked.first());
        List<FinishedBatch> mine = matched.batches().stream()
                .filter(b -> isFirst(b, asked) == first)
                .toList();
        long all = sides.stream().filter(b -> isFirst(b, asked) == first).count();
        return new Side(
                value,
                mine.size(),
                mine.stream().mapToDouble(b -> b.count().of()).sum(),
                mine.stream().mapToDouble(b -> b.count().kept()).sum(),
                (int) all - mine.size());
    }

    /** Batches that stand in strata which both sides have. */
    private record Matched(List<FinishedBatch> batches, Strata strata, List<Arm> one, int batchesInAll) {

        static Matched of(Asked asked, List<FinishedBatch> sides, Set<Factor> within, double rho, Sharing sharing) {
            Map<String, List<FinishedBatch>> byStratum = new TreeMap<>();
            for (FinishedBatch b : sides) {
                List<String> key =
                        within.stream().map(f -> b.is(f).orElse("not said")).toList();
                byStratum
                        .computeIfAbsent(String.join(", ", key), k -> new ArrayList<>())
                        .add(b);
            }
            byStratum
                    .values()
                    .removeIf(s ->
                            s.stream().map(b -> isFirst(b, asked)).distinct().count() < 2);
            Map<String, Arm> first = new TreeMap<>();
            Map<String, Arm> second = new TreeMap<>();
            byStratum.forEach((name, batches) -> {
                first.put(name, arm(batches, asked, true, rho, sharing));
                second.put(name, arm(batches, asked, false, rho, sharing));
            });
            List<FinishedBatch> matched =
                    byStratum.values().stream().flatMap(List::stream).toList();
            return new Matched(
                    matched,
                    Strata.effective(first, second),
                    byStratum.size() == 1
                            ? List.of(
                                    first.values().iterator().next(),
                                    second.values().iterator().next())
                            : List.of(),
                    first.values().stream().mapToInt(Arm::batches).sum()
                            + second.values().stream().mapToInt(Arm::batches).sum());
        }

        private static Arm arm(List<FinishedBatch> batches, Asked asked, boolean first, double rho, Sharing sharing) {
            List<FinishedBatch> side =
                    batches.stream().filter(b -> isFirst(b, asked) == first).toList();
            Map<String, Double> shares = sharing.shares(side, asked.factor());
            return Arm.of(
                    side.stream().map(FinishedBatch::count).toList(),
                    side.stream().map(b -> shares.get(b.code())).toList(),
                    rho);
        }

        /** In one stratum by two beta distributions; over several by Mantel and Haenszel. */
        Optional<Difference> difference() {
            int df = batchesInAll - strata.tables().size() - 1;
            if (strata.isEmpty()
                    || df < 1
                    || (!one.isEmpty() && one.get(0).batches() + one.get(1).batches() < 3)) {
                return Optional.empty();
            }
            return Optional.of(one.isEmpty() ? strata.difference(df) : Difference.of(one.get(0), one.get(1)));
        }
    }

    private static List<Other> others(Asked asked, Matched matched, Set<Factor> within, double rho, Sharing sharing) {
        List<Other> others = new ArrayList<>();
        for (Factor factor : Factor.values()) {
            if (factor != asked.factor() && !within.contains(factor) && factor.mayExplain()) {
                other(factor, asked, matched, within, rho, sharing).ifPresent(others::add);
            }
        }
        others.sort(Comparator.comparingDouble(Other::share).reversed());
        return others;
    }

    private static Optional<Other> other(
            Factor factor, Asked asked, Matched matched, Set<Factor> within, double rho, Sharing sharing) {
        Map<Boolean, Map<String, Long>> seen = matched.batches().stream()
                .collect(Collectors.partitioningBy(
                        b -> isFirst(b, asked),
                        Collectors.groupingBy(b -> b.is(factor).orElse(""), TreeMap::new, Collectors.counting())));
        Map<String, Long> first = seen.get(true);
        Map<String, Long> second = seen.get(false);
        // What was said of few on a side is no ground to say that they differ.
        boolean said = isMostlySaid(first) && isMostlySaid(second);
        first.remove("");
        second.remove("");
        double a = first.values().stream().mapToLong(n -> n).sum();
        double b = second.values().stream().mapToLong(n -> n).sum();
        if (!said || a == 0 || b == 0) {
            return Optional.empty();
        }
        Set<String> values = new TreeSet<>(first.keySet());
        values.addAll(second.keySet());
        double alike = values.stream()
                .mapToDouble(v -> Math.min(first.getOrDefault(v, 0L) / a, second.getOrDefault(v, 0L) / b))
                .sum();
        if (1 - alike < DIFFERS) {
            return Optional.empty();
        }
        Set<Factor> closer = new LinkedHashSet<>(within);
        closer.add(factor);
        Matched allowed = Matched.of(asked, matched.batches(), closer, rho, sharing);
        boolean enough = allowed.batches().stream()
                                .filter(x -> isFirst(x, asked))
                                .count()
                        >= FEWEST
                && allowed.batches().stream().filter(x -> !isFirst(x, asked)).count() >= FEWEST;
        Map.Entry<String, Long> mostFirst = most(first);
        Map.Entry<String, Long> mostSecond = most(second);
        return Optional.of(new Other(
                factor,
                1 - alike,
                mostFirst.getKey(),
                mostFirst.getValue() / a,
                mostSecond.getKey(),
                mostSecond.getValue() / b,
                enough ? allowed.difference() : Optional.empty()));
    }

    private static boolean isMostlySaid(Map<String, Long> seen) {
        long all = seen.values().stream().mapToLong(n -> n).sum();
        return 2 * seen.getOrDefault("", 0L) <= all;
    }

    private static Map.Entry<String, Long> most(Map<String, Long> seen) {
        return seen.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow();
    }

    private static Verdict verdict(Optional<Difference> found, List<Other> others) {
        if (found.isEmpty()) {
            return Verdict.TOO_LITTLE;
        }
        Difference d = found.get();
        if (d.isBetter() || d.isWorse()) {
            boolean explained = others.stream().anyMatch(o -> o.mayExplain(d));
            return explained ? Verdict.MIXED : d.isBetter() ? Verdict.FIRST : Verdict.SECOND;
        }
        return d.low() > -MATTERS && d.high() < MATTERS ? Verdict.ALIKE : Verdict.TOO_LITTLE;
    }

    /** The answer with its figures, in shares of 100. */
    public Statement says() {
        Optional<Other> other = verdict == Verdict.MIXED ? explains() : Optional.empty();
        return Statement.of(
                verdict,
                "first",
                first.value(),
                "second",
                second.value(),
                "a",
                first.share(),
                "b",
                second.share(),
                "batchesA",
                first.batches(),
                "batchesB",
                second.batches(),
                "beside",
                !strata.isEmpty(),
                "told",
                difference.isPresent(),
                "low",
                difference.map(Difference::low).orElse(-1.0),
                "high",
                difference.map(Difference::high).orElse(1.0),
                "more",
                difference.map(Difference::mean).orElse(0.0),
                "sure",
                difference
                        .map(d -> Math.min(0.99, Math.max(d.chance(), 1 - d.chance())))
                        .orElse(0.5),
                "factor",
                other.map(Other::factor).orElse(Factor.PLANT),
                "shareFirst",
                other.map(Other::shareFirst).orElse(0.0),
                "usualFirst",
                other.map(Other::usualFirst).orElse(""),
                "shareSecond",
                other.map(Other::shareSecond).orElse(0.0),
                "usualSecond",
                other.map(Other::usualSecond).orElse(""));
    }

    /** What came along and may explain it: the first that does not leave the difference standing. */
    public Optional<Other> explains() {
        return difference.flatMap(
                d -> others.stream().filter(o -> o.mayExplain(d)).findFirst());
    }

    /**
     * How many batches more on each side, of the usual size, would tell a difference as large as the one seen, or one in ten where it is less;
     * empty where it is told already, something else may be the cause, or nothing was seen yet.
     *
     * @param rho how alike pieces of one batch are
     */
    public OptionalInt wouldTell(double rho) {
        int batches = first.batches() + second.batches();
        if (batches == 0 || verdict != Verdict.TOO_LITTLE) {
            return OptionalInt.empty();
        }
        double middle = Math.max(0.1, Math.min(0.9, (first.share() + second.share()) / 2));
        double apart =
                Math.max(MATTERS, Math.abs(difference.map(Difference::mean).orElse(MATTERS)));
        int size = (int) Math.max(6, Math.round((first.pieces() + second.pieces()) / batches));
        double high = Math.min(0.98, middle + apart / 2);
        double low = Math.max(0.02, middle - apart / 2);
        int needed = TrialSize.ofTrays(high, low, size, rho).trays();
        return OptionalInt.of(Math.max(1, needed - Math.min(first.batches(), second.batches())));
    }

    /** The values of a factor that were tried, those with the most batches first. */
    public static List<Tried> tried(Factor factor, List<FinishedBatch> all) {
        Map<String, List<FinishedBatch>> by = all.stream()
                .filter(b -> b.is(factor).isPresent())
                .collect(Collectors.groupingBy(b -> b.is(factor).orElseThrow()));
        return by.entrySet().stream()
                .map(e -> new Tried(
                        e.getKey(),
                        e.getValue().size(),
                        e.getValue().stream().mapToDouble(b -> b.count().of()).sum(),
                        e.getValue().stream().mapToDouble(b -> b.count().kept()).sum()))
                .sorted(Comparator.comparingInt(Tried::batches).reversed().thenComparing(Tried::value))
                .toList();
    }

    /** A value that was tried: in how many batches, how many pieces of them were judged, and kept. */
    public record Tried(String value, int batches, double pieces, double kept) {}
}
