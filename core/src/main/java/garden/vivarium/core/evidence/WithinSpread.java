package garden.vivarium.core.evidence;

import java.util.List;

/**
 * How much wider or narrower than the guide's window the times of pieces of one batch spread: s = s₀f. Over a few values of f
 * the weights are exp(Σ ln E + 8(−ln f − 1/(2f²))), E what each batch's data weigh at that f; ln f is averaged. The prior is
 * worth eight pieces spread just as the guide says (a scaled inverse χ² in log form: Gelman and others, Bayesian Data
 * Analysis, section 2.6).
 */
final class WithinSpread {

    /** The values of f that are weighed. */
    static final double[] FACTORS = {0.5, 0.63, 0.79, 1, 1.26, 1.59, 2};

    private static final double PRIOR_PIECES = 8;
    private static final double WITHOUT_DATA = of(List.of());

    private WithinSpread() {}

    /** f before any batch. */
    static double withoutData() {
        return WITHOUT_DATA;
    }

    /**
     * The averaged factor f.
     *
     * @param logEvidence of each batch, ln E at each of {@link #FACTORS}
     */
    static double of(List<double[]> logEvidence) {
        double[] logs = new double[FACTORS.length];
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < FACTORS.length; i++) {
            double f = FACTORS[i];
            logs[i] = PRIOR_PIECES * (-Math.log(f) - 1 / (2 * f * f));
            for (double[] batch : logEvidence) {
                logs[i] += batch[i];
            }
            best = Math.max(best, logs[i]);
        }
        double sum = 0;
        double mean = 0;
        for (int i = 0; i < FACTORS.length; i++) {
            double weight = Math.exp(logs[i] - best);
            sum += weight;
            mean += weight * Math.log(FACTORS[i]);
        }
        return Math.exp(mean / sum);
    }
}
