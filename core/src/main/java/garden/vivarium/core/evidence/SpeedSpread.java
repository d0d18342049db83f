package garden.vivarium.core.evidence;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.Collection;
import java.util.List;

/**
 * How much whole batches of one way differ in speed: τ, the standard deviation of x = ln(days ÷ guide's median) between
 * batches, one for a nursery. A way's own x is integrated out under N(0, 1/16), so that a way's being slow is not taken for
 * spread. With messages m = r/q and h = 1/(1/q + τ²) a way adds ½Σ ln h − ½[Σhm² − (Σhm)²/(Σh + 16)] − ½ ln(1 + Σh/16) to the
 * logarithm (the marginal likelihood of a normal model with unequal known errors: Gelman and others, Bayesian Data Analysis,
 * section 5.4). The prior is ln τ ~ N(ln 0.2, 0.5²); the answer is the root of the mean of τ².
 *
 * @param tau τ, above 0
 * @param batches batches behind it
 */
public record SpeedSpread(double tau, int batches) {

    private static final int VALUES = 60;
    private static final double LEAST = 0.02;
    private static final double LARGEST_SPREAD = 1;
    private static final double USUAL = 0.2;
    private static final double USUAL_SPREAD = 0.5;
    /** A batch that says less of its speed than this says nothing of how batches differ. */
    private static final double TELLING = 0.5;

    private static final SpeedSpread WITHOUT_DATA = of(List.of());

    /** τ before any batch. */
    static SpeedSpread withoutData() {
        return WITHOUT_DATA;
    }

    /** τ from the messages of the batches of each way. */
    static SpeedSpread of(Collection<List<SpeedMessage>> ways) {
        List<double[][]> told = ways.stream()
                .map(w -> w.stream()
                        .filter(m -> m.q() >= TELLING)
                        .map(m -> new double[] {m.r() / m.q(), 1 / m.q()})
                        .toArray(double[][]::new))
                .filter(w -> w.length > 0)
                .toList();
        double[] logs = new double[VALUES];
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < VALUES; i++) {
            double away = (Math.log(value(i)) - Math.log(USUAL)) / USUAL_SPREAD;
            logs[i] = -away * away / 2;
            for (double[][] way : told) {
                logs[i] += logLikelihood(way, value(i) * value(i));
            }
            best = Math.max(best, logs[i]);
        }
        double sum = 0;
        double square = 0;
        for (int i = 0; i < VALUES; i++) {
            double weight = Math.exp(logs[i] - best);
            sum += weight;
            square += weight * value(i) * value(i);
        }
        return new SpeedSpread(
                Math.sqrt(square / sum), told.stream().mapToInt(w -> w.length).sum());
    }

    private static double value(int i) {
        return LEAST * Math.exp(Math.log(LARGEST_SPREAD / LEAST) * i / (VALUES - 1));
    }

    private static double logLikelihood(double[][] way, double tauSquared) {
        double logs = 0;
        double sum = 0;
        double first = 0;
        double second = 0;
        for (double[] m : way) {
            double h = 1 / (m[1] + tauSquared);
            logs += Math.log(h);
            sum += h;
            first += h * m[0];
            second += h * m[0] * m[0];
        }
        double prior = 1 / RootingTime.GUIDE_VARIANCE;
        return logs / 2 - (second - first * first / (sum + prior)) / 2 - Math.log1p(sum / prior) / 2;
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** How much batches differ in speed. */
        HOW_MUCH,
        /** From {@code batches} batches: τ = {@code tau}. */
        TAU
    }

    /** How it came about. */
    public Working working() {
        return Working.of(
                Statement.of(Step.HOW_MUCH, "share", Math.expm1(tau)),
                Statement.of(Step.TAU, "batches", batches, "tau", tau));
    }
}
