package garden.vivarium.core.evidence;

/**
 * The count of a batch whose own rate scatters round the way's mean μ: beta-binomial with mean μ and overdispersion ρ, the
 * correlation between two pieces of one batch; α = μ(1−ρ)/ρ, β = (1−μ)(1−ρ)/ρ (Skellam 1948).
 */
final class BetaBinomial {

    private BetaBinomial() {}

    /**
     * Natural logarithm of the chance of {@code k} of {@code n}.
     *
     * <p>Written as Πᵢ(μ+iθ) Πⱼ(1−μ+jθ) ÷ Πᵢ(1+iθ) with θ = ρ/(1−ρ), which stays exact as ρ goes to 0 and the count
     * to a plain binomial.
     *
     * @param mu 0 to 1, both excluded
     * @param rho 0 (included) to 1 (excluded)
     */
    static double logChance(int k, int n, double mu, double rho) {
        double theta = rho / (1 - rho);
        return Binomial.logChoose(n, k)
                + logRisings(mu, k, theta)[k]
                + logRisings(1 - mu, n - k, theta)[n - k]
                - logRisings(1, n, theta)[n];
    }

    /** ln Πᵢ(x+iθ) over i below m, for every m from 0 to the most. */
    static double[] logRisings(double x, int most, double theta) {
        double[] logs = new double[most + 1];
        for (int m = 1; m <= most; m++) {
            logs[m] = logs[m - 1] + Math.log(x + (m - 1) * theta);
        }
        return logs;
    }
}
