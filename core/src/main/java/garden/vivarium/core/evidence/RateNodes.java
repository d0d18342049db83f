package garden.vivarium.core.evidence;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/**
 * Points and weights that turn an expectation over a rate p ~ Beta(a, b) into a sum. The integral is taken by Gauss and
 * Legendre over s with p = sin²θ, θ = (π/2) s³(10 − 15s + 6s²): in θ a binomial count is as wide everywhere, and near the
 * ends the step in s tames the density pᵃ⁻¹(1 − p)ᵇ⁻¹ where it is unbounded. The nodes keep to the part of 0 to 1 where the
 * density is worth e⁻³⁴ of its peak, so that a sharp density is met by as many nodes as a broad one.
 */
public final class RateNodes {

    private static final double NEGLIGIBLE = 34;
    private static final int SCAN = 200;
    // A rule costs far more to make than to use.
    private static final Map<Integer, GaussIntegrator> RULES = new ConcurrentHashMap<>();

    private final double[] rates;
    private final double[] weights;

    private RateNodes(double[] rates, double[] weights) {
        this.rates = rates;
        this.weights = weights;
    }

    /**
     * Nodes for Beta(a, b).
     *
     * @param a above 0
     * @param b above 0
     * @param count number of nodes, 2 and up; 64 gives six figures for functions no steeper than a binomial of some hundred
     */
    public static RateNodes of(double a, double b, int count) {
        if (!(a > 0) || !(b > 0)) {
            throw new IllegalArgumentException("Beta(a, b) needs a and b above 0, not %s and %s".formatted(a, b));
        }
        int first = SCAN;
        int last = 0;
        double peak = Double.NEGATIVE_INFINITY;
        for (int i = 1; i < SCAN; i++) {
            peak = Math.max(peak, logDensity(a, b, (double) i / SCAN));
        }
        for (int i = 1; i < SCAN; i++) {
            if (logDensity(a, b, (double) i / SCAN) > peak - NEGLIGIBLE) {
                first = Math.min(first, i);
                last = Math.max(last, i);
            }
        }
        double low = (first - 1.0) / SCAN;
        double half = ((last + 1.0) / SCAN - low) / 2;
        GaussIntegrator rule = RULES.computeIfAbsent(count, n -> new GaussIntegratorFactory().legendre(n));
        double[] rates = new double[count];
        double[] weights = new double[count];
        double sum = 0;
        for (int i = 0; i < count; i++) {
            double s = low + half * (1 + rule.getPoint(i));
            double sine = Math.sin(angle(s));
            rates[i] = sine * sine;
            weights[i] = rule.getWeight(i) * Math.exp(logDensity(a, b, s) - peak);
            sum += weights[i];
        }
        for (int i = 0; i < count; i++) {
            weights[i] /= sum;
        }
        return new RateNodes(rates, weights);
    }

    public int size() {
        return rates.length;
    }

    public double rate(int i) {
        return rates[i];
    }

    public double weight(int i) {
        return weights[i];
    }

    private static double angle(double s) {
        return Math.PI / 2 * s * s * s * (10 - 15 * s + 6 * s * s);
    }

    /** Logarithm of the density in s, up to a constant. */
    private static double logDensity(double a, double b, double s) {
        double theta = angle(s);
        return 2 * Math.log(s * (1 - s))
                + (2 * a - 1) * Math.log(Math.sin(theta))
                + (2 * b - 1) * Math.log(Math.cos(theta));
    }
}
