package garden.vivarium.core.compare;

import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.distribution.continuous.BetaDistribution;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * How much better one arm is than another.
 *
 * @param chance that the first is better, 0 to 1, as few batches allow it to be said: t with batches − 2 degrees of freedom at Φ⁻¹(P)
 * @param plain that chance P by the two beta distributions alone
 * @param mean the first's rate less the second's
 * @param low where the difference lies above, nineteen times in twenty
 * @param high where it lies below, nineteen times in twenty
 */
public record Difference(double chance, double plain, double mean, double low, double high) {

    /** The chance of whichever side it lies on, ½ to 1. */
    public double sureness() {
        return Math.max(chance, 1 - chance);
    }

    /** From so sure on one is called better, if the day of looking was fixed beforehand. */
    public static final double SURE = 0.95;

    private static final double TAIL = 0.05;
    private static final int NODES = 40;
    private static final int PARTS = 4;
    private static final NormalDistribution NORMAL = new NormalDistribution();
    private static final GaussIntegrator RULE = new GaussIntegratorFactory().legendre(NODES, 0, 1);

    /**
     * The difference of two arms, by quadrature over the second's quantiles.
     *
     * @throws IllegalArgumentException if there are fewer than three batches in all, of which nothing can be said
     */
    public static Difference of(Arm a, Arm b) {
        int df = a.batches() + b.batches() - 2;
        if (df < 1) {
            throw new IllegalArgumentException("three batches at the least tell a difference");
        }
        BetaDistribution first = new BetaDistribution(a.alpha(), a.beta());
        BetaDistribution second = new BetaDistribution(b.alpha(), b.beta());
        double plain = above(first, second, 0);
        BrentSolver solver = new BrentSolver(1e-8);
        double low = solver.solve(200, d -> above(first, second, d) - (1 - TAIL), -1, 1);
        double high = solver.solve(200, d -> above(first, second, d) - TAIL, -1, 1);
        return new Difference(withFewBatches(plain, df), plain, a.mean() - b.mean(), low, high);
    }

    /** The chance with the tails that few batches have. */
    static double withFewBatches(double plain, int df) {
        double inside = Math.max(1e-15, Math.min(1 - 1e-15, plain));
        return new TDistribution(df).cumulativeProbability(NORMAL.inverseCumulativeProbability(inside));
    }

    /** The chance that the first rate is above the second by more than d. */
    private static double above(BetaDistribution first, BetaDistribution second, double d) {
        double middle = second.getNumericalMean();
        double spread = Math.sqrt(second.getNumericalVariance());
        double from = Math.max(0, middle - 12 * spread);
        double to = Math.min(1, middle + 12 * spread);
        double step = (to - from) / PARTS;
        double sum = 0;
        for (int i = 0; i < PARTS; i++) {
            double start = from + i * step;
            sum += step
                    * RULE.integrate(u -> density(second, start + u * step) * (1 - below(first, start + u * step + d)));
        }
        return Math.max(0, Math.min(1, sum));
    }

    private static double density(BetaDistribution beta, double x) {
        return x <= 0 || x >= 1 ? 0 : beta.density(x);
    }

    private static double below(BetaDistribution beta, double x) {
        return x <= 0 ? 0 : x >= 1 ? 1 : beta.cumulativeProbability(x);
    }

    /** Whether the first is called better. */
    public boolean isBetter() {
        return chance >= SURE;
    }

    /** Whether the second is. */
    public boolean isWorse() {
        return chance <= 1 - SURE;
    }
}
