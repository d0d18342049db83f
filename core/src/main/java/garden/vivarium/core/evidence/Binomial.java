package garden.vivarium.core.evidence;

import org.hipparchus.special.Gamma;

/** Counts of independent pieces. */
public final class Binomial {

    private static final double NEGLIGIBLE = 1e-14;
    private static final double[] LOG_FACTORIALS = new double[4096];

    static {
        for (int n = 2; n < LOG_FACTORIALS.length; n++) {
            LOG_FACTORIALS[n] = Gamma.logGamma(n + 1.0);
        }
    }

    private Binomial() {}

    /**
     * The chances of 0, 1, 2, … when so many more pieces come, each with the chance: the given chances convolved with
     * Binomial(n, q).
     *
     * @param chances of what there is already
     * @param n pieces more, 0 and up
     * @param q 0 to 1
     */
    static double[] and(double[] chances, int n, double q) {
        double[] more = chances(n, q);
        if (chances.length == 1) {
            return more;
        }
        double[] sum = new double[chances.length + n];
        for (int i = 0; i < chances.length; i++) {
            if (chances[i] > NEGLIGIBLE) {
                for (int k = 0; k <= n; k++) {
                    sum[i + k] += chances[i] * more[k];
                }
            }
        }
        return sum;
    }

    /**
     * The chances of 0, 1, … n: from the likeliest outwards, each from its neighbour.
     *
     * @param n pieces, 0 and up
     * @param q 0 to 1
     */
    public static double[] chances(int n, double q) {
        double[] chances = new double[n + 1];
        if (q <= 0 || q >= 1) {
            chances[q <= 0 ? 0 : n] = 1;
            return chances;
        }
        int middle = (int) Math.min(n, Math.floor((n + 1) * q));
        double peak = Math.exp(logChoose(n, middle) + middle * Math.log(q) + (n - middle) * Math.log1p(-q));
        chances[middle] = peak;
        double odds = q / (1 - q);
        double at = peak;
        for (int k = middle; k < n && at > peak * NEGLIGIBLE; k++) {
            at *= (n - k) / (k + 1.0) * odds;
            chances[k + 1] = at;
        }
        at = peak;
        for (int k = middle; k > 0 && at > peak * NEGLIGIBLE; k--) {
            at *= k / (n - k + 1.0) / odds;
            chances[k - 1] = at;
        }
        return chances;
    }

    /**
     * ln of the number of ways to choose k of n.
     *
     * @param n 0 and up
     * @param k 0 to n
     */
    public static double logChoose(int n, int k) {
        return logFactorial(n) - logFactorial(k) - logFactorial(n - k);
    }

    private static double logFactorial(int n) {
        return n < LOG_FACTORIALS.length ? LOG_FACTORIALS[n] : Gamma.logGamma(n + 1.0);
    }
}
