package garden.vivarium.core.compare;

import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Whether one arm is sooner or gives more often, when times are known only between looks: scores of a generalised log-rank test,
 * [S(after) ln S(after) − S(by) ln S(by)] ÷ [S(after) − S(by)] from the joint curve S, summed over one arm and permuted (Fay, J. Statist. Softw. 36
 * (2010) 2). Both arms are cut to common follow-up; what was lost is scored as pending at its batch's last look.
 */
public final class TimeScores {

    private static final int MOST_SPLITS = 20_000;
    private static final int DRAWS = 4_000;
    private static final long SEED = 20261127;

    private TimeScores() {}

    /**
     * What the test says.
     *
     * @param sum of the first arm's scores: above 0 where it is sooner or gives more often
     * @param variance of that sum over all splits
     * @param p two-sided
     * @param isExact whether all splits were tried rather than some drawn
     */
    public record Result(double sum, double variance, double p, boolean isExact) {

        /** Whether they are told apart, at one in twenty. */
        public boolean isTold() {
            return p < 0.05;
        }

        /** Whether it is the first that is sooner, or gives more often. */
        public boolean isSooner() {
            return sum > 0;
        }

        /** The sum over its standard deviation; 0 where nothing varies. */
        public double z() {
            return variance == 0 ? 0 : sum / Math.sqrt(variance);
        }
    }

    /**
     * A unit that is split as a whole: a batch, or inside a randomised trial a piece.
     *
     * @param stratum within which units change places, as a plant
     * @param first whether it is of the first arm
     * @param ready its tallies
     */
    public record Unit(String stratum, boolean first, Tallies ready) {}

    /** Permutes units within their strata. */
    public static Result of(List<Unit> units) {
        int until = Math.min(lastLook(units, true), lastLook(units, false));
        List<Map<Interval, Long>> cut =
                units.stream().map(u -> cut(u.ready(), until)).toList();
        Map<Interval, Long> all = new TreeMap<>();
        cut.forEach(c -> c.forEach((i, n) -> all.merge(i, n, Long::sum)));
        RootingCurve joint = RootingCurve.fit(Tallies.of(all));
        double[] scores = new double[units.size()];
        for (int i = 0; i < scores.length; i++) {
            for (Map.Entry<Interval, Long> e : cut.get(i).entrySet()) {
                scores[i] += e.getValue() * score(joint, e.getKey());
            }
        }
        return permuted(units, scores);
    }

    /** An arm of which all became ready is known for good. */
    private static int lastLook(List<Unit> units, boolean first) {
        List<Tallies> arm =
                units.stream().filter(u -> u.first() == first).map(Unit::ready).toList();
        return arm.stream().allMatch(t -> t.total() == t.total(Outcome.REACHED))
                ? Integer.MAX_VALUE
                : arm.stream().mapToInt(Tallies::lastDay).max().orElse(0);
    }

    /** Until a day, with what was lost pending at the last look. */
    private static Map<Interval, Long> cut(Tallies ready, int until) {
        int last = Math.min(until, ready.lastDay());
        Map<Interval, Long> cut = new TreeMap<>();
        ready.counts().forEach((i, n) -> {
            Interval now = i.outcome() == Outcome.REACHED
                    ? i.by() <= until ? i : Interval.pending(Math.min(i.after(), until))
                    : Interval.pending(i.outcome() == Outcome.LOST ? last : Math.min(i.after(), until));
            cut.merge(now, n, Long::sum);
        });
        return cut;
    }

    private static double score(RootingCurve joint, Interval i) {
        double before = 1 - joint.atLeast(Outcome.REACHED, i.after());
        double then = i.outcome() == Outcome.REACHED ? 1 - joint.atLeast(Outcome.REACHED, i.by()) : 0;
        // Left of a mass the certain share is short of it; within none of them an end lies.
        return before - then < 1e-12 ? 0 : (xLnX(before) - xLnX(then)) / (before - then);
    }

    private static double xLnX(double x) {
        return x <= 0 ? 0 : x * Math.log(x);
    }

    private static Result permuted(List<Unit> units, double[] scores) {
        Map<String, List<Integer>> strata = new TreeMap<>();
        for (int i = 0; i < scores.length; i++) {
            strata.computeIfAbsent(units.get(i).stratum(), s -> new ArrayList<>())
                    .add(i);
        }
        double sum = 0;
        double expected = 0;
        double variance = 0;
        double splits = 1;
        for (List<Integer> members : strata.values()) {
            int n = members.size();
            int a = (int) members.stream().filter(i -> units.get(i).first()).count();
            double mean = members.stream().mapToDouble(i -> scores[i]).sum() / n;
            double squares = members.stream()
                    .mapToDouble(i -> (scores[i] - mean) * (scores[i] - mean))
                    .sum();
            sum += members.stream()
                    .filter(i -> units.get(i).first())
                    .mapToDouble(i -> scores[i])
                    .sum();
            expected += a * mean;
            variance += n < 2 ? 0 : (double) a * (n - a) / (n * (n - 1.0)) * squares;
            splits *= Math.exp(garden.vivarium.core.evidence.Binomial.logChoose(n, a));
        }
        double off = Math.abs(sum - expected) * (1 - 1e-9) - 1e-9;
        boolean exact = splits <= MOST_SPLITS;
        double p = exact
                ? exactly(List.copyOf(strata.values()), units, scores, expected, off)
                : drawn(List.copyOf(strata.values()), units, scores, expected, off);
        return new Result(sum - expected, variance, p, exact);
    }

    /** The share of all splits that are as far off. */
    private static double exactly(
            List<List<Integer>> strata, List<Unit> units, double[] scores, double expected, double off) {
        List<Double> sums = List.of(0.0);
        for (List<Integer> members : strata) {
            int a = (int) members.stream().filter(i -> units.get(i).first()).count();
            List<Double> here = new ArrayList<>();
            choose(members, 0, a, 0, scores, here);
            List<Double> next = new ArrayList<>();
            for (double s : sums) {
                here.forEach(h -> next.add(s + h));
            }
            sums = next;
        }
        return (double) sums.stream().filter(s -> Math.abs(s - expected) >= off).count() / sums.size();
    }

    private static void choose(List<Integer> of, int from, int left, double sum, double[] scores, List<Double> into) {
        if (left == 0) {
            into.add(sum);
            return;
        }
        for (int i = from; i <= of.size() - left; i++) {
            choose(of, i + 1, left - 1, sum + scores[of.get(i)], scores, into);
        }
    }

    /** The same of some drawn splits, with this one counted among them. */
    private static double drawn(
            List<List<Integer>> strata, List<Unit> units, double[] scores, double expected, double off) {
        Random random = new Random(SEED);
        int far = 1;
        for (int d = 0; d < DRAWS; d++) {
            double sum = 0;
            for (List<Integer> members : strata) {
                int left =
                        (int) members.stream().filter(i -> units.get(i).first()).count();
                int of = members.size();
                for (int i : members) {
                    if (random.nextInt(of) < left) {
                        sum += scores[i];
                        left--;
                    }
                    of--;
                }
            }
            far += Math.abs(sum - expected) >= off ? 1 : 0;
        }
        return (double) far / (DRAWS + 1);
    }
}
