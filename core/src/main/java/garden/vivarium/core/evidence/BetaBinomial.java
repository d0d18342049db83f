package garden.vivarium.core.evidence;

import org.hipparchus.special.Gamma;

/**
 * The count of a batch whose own rate scatters round the way's mean μ: beta-binomial with mean μ and overdispersion ρ, the
 * correlation between two pieces of one batch; α = μ(1−ρ)/ρ, β = (1−μ)(1−ρ)/ρ (Skellam 1948).
 */
final class BetaBinomial {

    private BetaBinomial() {}

    /**
     * Natural logarithm of the chance of {@code k} of {@code n}.
     *
     * <p>Written as Πᵢ(μ+iθ) Πⱼ(1−μ+jθ) ÷ Πᵢ(1+iθ) with θ = ρ/(1−ρ), which stays exact as ρ goes to nought and the count
     * to a plain binomial.
     *
     * @param mu 0 to 1, both excluded
     * @param rho 0 (included) to 1 (excluded)
     */
    static double logChance(int k, int n, double mu, double rho) {
        double theta = rho / (1 - rho);
        return logChoose(n, k) + logNumerator(k, n, mu, theta) - logDenominators(n, theta)[n];
    }

    /** ln Πᵢ(μ+iθ) Πⱼ(1−μ+jθ): the only part in which the mean stands. */
    static double logNumerator(int k, int n, double mu, double theta) {
        return logRising(mu, k, theta) + logRising(1 - mu, n - k, theta);
    }

    /** ln Πᵢ(x+iθ) over i below m. Logarithms are dear: one for every sixteen factors, before a product can run out of range. */
    private static double logRising(double x, int m, double theta) {
        double log = 0;
        double factor = x;
        int left = m;
        while (left > 0) {
            double product = 1;
            for (int i = Math.min(16, left); i > 0; i--) {
                product *= factor;
                factor += theta;
            }
            log += Math.log(product);
            left -= 16;
        }
        return log;
    }

    /** ln Πᵢ(1+iθ) over i below m, for every m from 0 to the most. */
    static double[] logDenominators(int most, double theta) {
        double[] logs = new double[most + 1];
        for (int m = 1; m <= most; m++) {
            logs[m] = logs[m - 1] + Math.log1p((m - 1) * theta);
        }
        return logs;
    }

    static double logChoose(int n, int k) {
        return Gamma.logGamma(n + 1.0) - Gamma.logGamma(k + 1.0) - Gamma.logGamma(n - k + 1.0);
    }
}
