package garden.vivarium.core.compare;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.evidence.RootingCurve;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How the days until half of a batch are ready go with the warmth of its place, or the length of its days, by this nursery's own readings: a straight line
 * through the logarithm of those days, each batch beside the others of its way, so that a way that is only done in summer says nothing. It is fit to plan by
 * once it foretells batches that were held out better than the days of their way alone do. Ordinary least squares within groups; Student's t intervals.
 *
 * @param verdict what is said
 * @param batches that it rests on: of ways with two and more
 * @param slope change of the logarithm of the days with one unit more; 0 where nothing is said
 * @param low nine times in ten above this
 * @param high and below it
 * @param usual the mean of what was measured
 * @param days until half are ready, by the geometric mean of these batches
 * @param heldOut how batches were foretold that were held out
 */
public record LearnedClock(
        Verdict verdict,
        int batches,
        double slope,
        double low,
        double high,
        double usual,
        double days,
        HeldOut heldOut) {

    private static final int FEWEST = 12;
    private static final double TAIL = 0.05;

    /** Warmths nearer together than this (standard deviation within ways, °C; hours for days) tell nothing. Own round figure. */
    private static final double APART = 1;

    /**
     * A batch with its days.
     *
     * @param way batches of one are set beside each other
     * @param days until half of those that became ready were, above 0
     * @param at what was measured
     */
    public record Timed(String way, double days, double at) {}

    /**
     * How batches held out were foretold.
     *
     * @param alone root mean square error of the logarithm of the days, by the days of their way alone
     * @param with the same with the clock
     * @param better whether the clock is better beyond chance (paired t, one-sided 5%)
     */
    public record HeldOut(double alone, double with, boolean better) {

        static final HeldOut NONE = new HeldOut(0, 0, false);
    }

    /** What is said. */
    public enum Verdict implements Rule {
        /** The more, the sooner. */
        SOONER,
        /** The more, the later. */
        LATER,
        /** Not told from no difference. */
        NOTHING,
        /** Too few batches of ways tried twice, or all much alike in it. */
        TOO_FEW
    }

    /** The days of a batch for a way's batches, where half were ready by looks: the middle between two looks. */
    public static Optional<Double> daysOf(FinishedBatch b) {
        return b.ready().isEmpty()
                ? Optional.empty()
                : RootingCurve.fit(b.ready())
                        .median()
                        .map(m -> (m.after() + m.by()) / 2.0)
                        .filter(d -> d > 0);
    }

    /** Learns from batches. */
    public static LearnedClock of(List<Timed> all) {
        Map<String, List<Timed>> byWay = all.stream().collect(Collectors.groupingBy(Timed::way));
        byWay.values().removeIf(w -> w.size() < 2);
        List<Timed> batches = byWay.values().stream().flatMap(List::stream).toList();
        int n = batches.size();
        int df = n - byWay.size() - 1;
        Line line = line(byWay.values());
        if (n < FEWEST || df < 4 || Math.sqrt(line.xx() / (n - byWay.size())) < APART) {
            return new LearnedClock(Verdict.TOO_FEW, n, 0, 0, 0, 0, 0, HeldOut.NONE);
        }
        double slope = line.xy() / line.xx();
        double left = Math.max(0, line.yy() - slope * line.xy()) / df;
        double wide = new TDistribution(df).inverseCumulativeProbability(1 - TAIL) * Math.sqrt(left / line.xx());
        Verdict verdict = slope + wide < 0 ? Verdict.SOONER : slope - wide > 0 ? Verdict.LATER : Verdict.NOTHING;
        return new LearnedClock(
                verdict,
                n,
                slope,
                slope - wide,
                slope + wide,
                batches.stream().mapToDouble(Timed::at).average().orElseThrow(),
                Math.exp(batches.stream()
                        .mapToDouble(t -> Math.log(t.days()))
                        .average()
                        .orElseThrow()),
                heldOut(byWay.values(), line));
    }

    /** By how much the days change with so many units more, in the mean: 0.9 for a tenth sooner. */
    public double factor(double more) {
        return Math.exp(slope * more);
    }

    /** Whether a plan may go by it. */
    public boolean isFitToPlanBy() {
        return verdict != Verdict.TOO_FEW && verdict != Verdict.NOTHING && heldOut.better();
    }

    private record Line(double xx, double xy, double yy) {}

    private static Line line(Iterable<List<Timed>> ways) {
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (List<Timed> way : ways) {
            double x = way.stream().mapToDouble(Timed::at).average().orElseThrow();
            double y =
                    way.stream().mapToDouble(t -> Math.log(t.days())).average().orElseThrow();
            for (Timed t : way) {
                xx += (t.at() - x) * (t.at() - x);
                xy += (t.at() - x) * (Math.log(t.days()) - y);
                yy += (Math.log(t.days()) - y) * (Math.log(t.days()) - y);
            }
        }
        return new Line(xx, xy, yy);
    }

    /** Each batch foretold by all others: of its way of m, taking one out moves the sums by m ÷ (m − 1) of its own. */
    private static HeldOut heldOut(Iterable<List<Timed>> ways, Line line) {
        List<double[]> errors = new ArrayList<>();
        for (List<Timed> way : ways) {
            int m = way.size();
            double x = way.stream().mapToDouble(Timed::at).average().orElseThrow();
            double y =
                    way.stream().mapToDouble(t -> Math.log(t.days())).average().orElseThrow();
            for (Timed t : way) {
                double grown = m / (m - 1.0);
                double dx = t.at() - x;
                double dy = Math.log(t.days()) - y;
                double xx = line.xx() - grown * dx * dx;
                double slope = xx <= 1e-9 ? 0 : (line.xy() - grown * dx * dy) / xx;
                double alone = grown * dy;
                errors.add(new double[] {alone, alone - slope * grown * dx});
            }
        }
        int n = errors.size();
        double alone = errors.stream().mapToDouble(e -> e[0] * e[0]).average().orElseThrow();
        double with = errors.stream().mapToDouble(e -> e[1] * e[1]).average().orElseThrow();
        double mean = alone - with;
        double scatter = errors.stream()
                        .mapToDouble(e -> e[0] * e[0] - e[1] * e[1] - mean)
                        .map(d -> d * d)
                        .sum()
                / (n - 1);
        boolean better = mean > 0
                && mean / Math.sqrt(scatter / n) > new TDistribution(n - 1).inverseCumulativeProbability(1 - TAIL);
        return new HeldOut(Math.sqrt(alone), Math.sqrt(with), better);
    }

    /** The answer with its figures: days that so many units more save or cost. */
    public Statement says(Measure measure, double more) {
        Map<String, Object> figures = new LinkedHashMap<>();
        figures.put("measure", measure);
        figures.put("batches", batches);
        figures.put("more", more);
        figures.put("step", measure.difference(more));
        figures.put("days", days);
        figures.put("usual", usual);
        figures.put("change", Math.abs(days * (1 - factor(more))));
        double one = Math.abs(days * (1 - Math.exp(low * more)));
        double other = Math.abs(days * (1 - Math.exp(high * more)));
        figures.put("least", Math.min(one, other));
        figures.put("most", Math.max(one, other));
        figures.put("fit", isFitToPlanBy());
        figures.put("alone", heldOut.alone());
        figures.put("with", heldOut.with());
        return new Statement(verdict, figures);
    }
}
