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
        return logChoose(n, k) + logKernel(k, n, mu, rho / (1 - rho));
    }

    /** The same without the binomial coefficient, which depends on the count alone. */
    static double logKernel(int k, int n, double mu, double theta) {
        double log = 0;
        double product = 1;
        for (int i = 0; i < n; i++) {
            double top = i < k ? mu + i * theta : 1 - mu + (i - k) * theta;
            product *= top / (1 + i * theta);
            // Logarithms are dear; take one before the product can underflow.
            if (product < 1e-200) {
                log += Math.log(product);
                product = 1;
            }
        }
        return log + Math.log(product);
    }

    static double logChoose(int n, int k) {
        return Gamma.logGamma(n + 1.0) - Gamma.logGamma(k + 1.0) - Gamma.logGamma(n - k + 1.0);
    }
}
