package garden.vivarium.core.evidence;

import org.apache.commons.numbers.gamma.RegularizedBeta;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * The rate of one batch still to come, as Beta(a, b) by matching mean and variance: a = m(m(1−m)/v − 1), 0 &lt; v &lt; m(1−m). See
 * “The next batch” in docs/science.md.
 *
 * @param a above 0
 * @param b above 0
 */
public record NextBatch(double a, double b) {

    private static final double LARGEST_LOGIT = 700;

    /** Any rate is as likely as any other. */
    static final NextBatch EVEN = new NextBatch(1, 1);

    public NextBatch {
        if (!(a > 0) || !(b > 0)) {
            throw new IllegalArgumentException("Beta(a, b) needs a and b above 0, not %s and %s".formatted(a, b));
        }
    }

    /**
     * From a mean and a variance.
     *
     * @param mean 0 to 1, both excluded
     * @param variance above 0 and below mean(1 − mean)
     */
    public static NextBatch of(double mean, double variance) {
        double strength = mean * (1 - mean) / variance - 1;
        return new NextBatch(mean * strength, (1 - mean) * strength);
    }

    public double mean() {
        return a / (a + b);
    }

    public double variance() {
        return mean() * (1 - mean()) / (a + b + 1);
    }

    /** Nineteen times in twenty it is more. */
    public double low() {
        return quantile(0.05);
    }

    /** Nineteen times in twenty it is less. */
    public double high() {
        return quantile(0.95);
    }

    /**
     * The quantile of the next batch's rate: where the regularised incomplete beta function is the probability, sought on the
     * scale of ln(p/(1−p)), on which it is as smooth near 0 and 1 as between.
     *
     * @param probability above 0 and below 1
     */
    public double quantile(double probability) {
        UnivariateFunction above = logit -> RegularizedBeta.value(rate(logit), a, b) - probability;
        double middle = Math.log(a / b);
        double reach = 1 / Math.sqrt(a) + 1 / Math.sqrt(b);
        double low = middle - reach;
        double high = middle + reach;
        while (above.value(low) > 0) {
            if (low < -LARGEST_LOGIT) {
                return 0;
            }
            high = low;
            low -= reach;
            reach *= 2;
        }
        while (above.value(high) < 0) {
            if (high > LARGEST_LOGIT) {
                return 1;
            }
            low = high;
            high += reach;
            reach *= 2;
        }
        return rate(new BracketingNthOrderBrentSolver(1e-12, 1e-11, 1e-13, 5).solve(500, above, low, high));
    }

    private static double rate(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }

    /**
     * The rate of passing both this stage and another, independent one: mean m₁m₂, second moment (v₁+m₁²)(v₂+m₂²). So
     * callus survival and establishment enter a plan.
     */
    public NextBatch and(NextBatch other) {
        double mean = mean() * other.mean();
        double second = (variance() + mean() * mean()) * (other.variance() + other.mean() * other.mean());
        return of(mean, second - mean * mean);
    }
}
