package garden.vivarium.core.compare;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How many pieces an arm of a trial needs to tell two rates apart: two-sided 5%, 80% power, the normal formula with pooled variance under the null (Fleiss, Levin, Paik,
 * Statistical Methods for Rates and Proportions (2003), ch. 4).
 *
 * @param exactly pieces an arm by the formula, before rounding
 * @param pieces pieces an arm
 * @param trays whole trays an arm; 0 where arms are mixed within trays
 */
public record TrialSize(double exactly, int pieces, int trays) {

    private static final double TWO_SIDED = 0.05;
    private static final double ALPHA = normal(TWO_SIDED);
    private static final double POWER = new NormalDistribution().inverseCumulativeProbability(0.8);

    /** The size where arms are drawn by lot within trays. */
    public static TrialSize within(double rateA, double rateB) {
        return within(rateA, rateB, 2);
    }

    /**
     * The same where two of several arms are to be told apart so surely: the 5% are shared among all pairs (Bonferroni), which is a little more
     * than {@link TrialReading} needs.
     *
     * @param arms 2 to 4
     */
    public static TrialSize within(double rateA, double rateB, int arms) {
        double n = formula(rateA, rateB, alpha(arms));
        return new TrialSize(n, (int) Math.ceil(n), 0);
    }

    /**
     * The size where whole trays are of one arm.
     *
     * @param tray pieces to a tray, 1 and up
     * @param rho how alike pieces of one tray are, 0 to 1
     */
    public static TrialSize ofTrays(double rateA, double rateB, int tray, double rho) {
        double n = formula(rateA, rateB) * (1 + (tray - 1) * rho);
        int trays = (int) Math.ceil(n / tray);
        return new TrialSize(n, trays * tray, trays);
    }

    private static double alpha(int arms) {
        return normal(2 * TWO_SIDED / (arms * (arms - 1)));
    }

    private static double normal(double twoSided) {
        return new NormalDistribution().inverseCumulativeProbability(1 - twoSided / 2);
    }

    private static double formula(double a, double b) {
        return formula(a, b, ALPHA);
    }

    private static double formula(double a, double b, double alpha) {
        if (!(a > 0 && a < 1 && b > 0 && b < 1) || a == b) {
            throw new IllegalArgumentException(
                    "a trial tells two different rates between 0 and 1 apart, not %s and %s".formatted(a, b));
        }
        double mean = (a + b) / 2;
        double root = alpha * Math.sqrt(2 * mean * (1 - mean)) + POWER * Math.sqrt(a * (1 - a) + b * (1 - b));
        return root * root / ((a - b) * (a - b));
    }

    /** The smallest difference that so many pieces an arm would show, round a rate; the same formula solved for it. */
    public static double shows(double rate, double pieces) {
        return shows(rate, pieces, 2);
    }

    /**
     * The same among several arms.
     *
     * @param arms 2 to 4
     */
    public static double shows(double rate, double pieces, int arms) {
        double alpha = alpha(arms);
        double low = 1e-4;
        double high = Math.min(0.98 - Math.min(rate, 0.97), 0.95);
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (formula(Math.max(0.01, Math.min(0.97, rate)), Math.min(0.99, rate + middle), alpha) > pieces) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }
}
