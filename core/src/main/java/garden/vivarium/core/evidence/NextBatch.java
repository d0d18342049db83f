package garden.vivarium.core.evidence;

import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * The rate of one batch still to come, as Beta(a, b) by matching mean and variance: a = m(m(1−m)/v − 1). Section 3 of the
 * design's science page, "the next batch".
 *
 * @param a above 0
 * @param b above 0
 */
public record NextBatch(double a, double b) {

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

    /** The quantile of the next batch's rate. */
    public double quantile(double probability) {
        return new BetaDistribution(a, b).inverseCumulativeProbability(probability);
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
