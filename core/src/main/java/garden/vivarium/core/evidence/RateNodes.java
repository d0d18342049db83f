package garden.vivarium.core.evidence;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.linear.EigenDecompositionSymmetric;

/**
 * Points and weights that turn an expectation over a rate p ~ Beta(a, b) into a sum. The integral is taken by Gauss and
 * Legendre over s with p = sin²θ, θ = (π/2) s³(10 − 15s + 6s²): in θ a binomial count is as wide everywhere, and near the
 * ends the step in s tames the density pᵃ⁻¹(1 − p)ᵇ⁻¹ where it is unbounded. The nodes keep to the part of 0 to 1 where the
 * density is worth e⁻³⁴ of its peak, so that a sharp density is met by as many nodes as a broad one. Where a or b is under a
 * sixth the step no longer tames it, and the rule of Gauss and Jacobi is taken, to which the density is its own weight (Golub
 * and Welsch 1969).
 */
public final class RateNodes {

    private static final double NEGLIGIBLE = 34;
    private static final int SCAN = 200;
    private static final double TAMED = 1.0 / 6;
    private static final int MOST_JACOBI = 64;
    // A rule costs far more to make than to use.
    private static final Map<Integer, GaussIntegrator> RULES = new ConcurrentHashMap<>();

    private final double[] rates;
    private final double[] rests;
    private final double[] weights;

    private RateNodes(double[] rates, double[] rests, double[] weights) {
        this.rates = rates;
        this.rests = rests;
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
        refuse(a, b);
        if (Math.min(a, b) < TAMED) {
            return gaussJacobi(a, b, Math.min(count, MOST_JACOBI));
        }
        double[] logs = new double[SCAN - 1];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = logDensity(a, b, (i + 1.0) / SCAN);
        }
        double peak = Arrays.stream(logs).max().orElseThrow();
        Stretch matters = Stretch.of(logs, NEGLIGIBLE);
        double low = (double) matters.first() / SCAN;
        double half = ((matters.last() + 2.0) / SCAN - low) / 2;
        GaussIntegrator rule = RULES.computeIfAbsent(count, n -> new GaussIntegratorFactory().legendre(n));
        double[] rates = new double[count];
        double[] rests = new double[count];
        double[] weights = new double[count];
        double sum = 0;
        for (int i = 0; i < count; i++) {
            double s = low + half * (1 + rule.getPoint(i));
            double sine = Math.sin(angle(s));
            double cosine = Math.cos(angle(s));
            rates[i] = sine * sine;
            rests[i] = cosine * cosine;
            weights[i] = rule.getWeight(i) * Math.exp(logDensity(a, b, s) - peak);
            sum += weights[i];
        }
        for (int i = 0; i < count; i++) {
            weights[i] /= sum;
        }
        return new RateNodes(rates, rests, weights);
    }

    /**
     * Points for integrals over p of pᵃ⁻¹(1 − p)ᵇ⁻¹f(p), a and b above 0, on any part of s: for integrands whose place is known
     * only once f is.
     */
    static final class OnParts {

        private static final int STEPS = 128;
        private static final int STRIDE = 4;

        private final double a;
        private final double b;
        private final int count;
        private final double[] scanned = new double[STEPS - 1];
        private final double[] scannedLogs = new double[STEPS - 1];
        private final double[] strides = new double[(STEPS - 1) / STRIDE];
        private final Map<Stretch, Part> parts = new HashMap<>();

        /**
         * Points for one a and b.
         *
         * @param count how many of them on a part
         */
        OnParts(double a, double b, int count) {
            refuse(a, b);
            this.a = a;
            this.b = b;
            this.count = count;
            for (int i = 0; i < scanned.length; i++) {
                double s = (i + 1.0) / STEPS;
                double sine = Math.sin(angle(s));
                scanned[i] = sine * sine;
                scannedLogs[i] = logDensity(a, b, s);
            }
        }

        /** Rates on a part, and the logarithms of their weights before anything is said of them. */
        private record Part(double[] rates, double[] logs) {}

        /**
         * Fills rates and the logarithms of their weights, f included, where f leaves anything.
         *
         * @param logF logarithm of f at a rate
         * @param rates filled with the rates
         * @param logs filled with the logarithms, so that the sum of their exponentials is the integral
         */
        void fill(DoubleUnaryOperator logF, double[] rates, double[] logs) {
            // Of many f the same part matters: its points are made once.
            Part part = parts.computeIfAbsent(matters(logF), this::part);
            System.arraycopy(part.rates, 0, rates, 0, count);
            for (int i = 0; i < count; i++) {
                logs[i] = part.logs[i] + logF.applyAsDouble(rates[i]);
            }
        }

        /**
         * Logarithms of the density, f included, at few places in equal strides of s: as much as tells where it lies and, up to a
         * factor, how much there is. The array is filled anew by the next call.
         */
        double[] strides(DoubleUnaryOperator logF) {
            for (int i = 0; i < strides.length; i++) {
                strides[i] = at(STRIDE * (i + 1) - 1, logF);
            }
            return strides;
        }

        private double at(int place, DoubleUnaryOperator logF) {
            return scannedLogs[place] + logF.applyAsDouble(scanned[place]);
        }

        /** Looked for in strides, then step by step about the ends of what was found. */
        private Stretch matters(DoubleUnaryOperator logF) {
            Stretch found = Stretch.of(strides(logF), NEGLIGIBLE);
            double floor = Stretch.floor(strides, NEGLIGIBLE);
            int last = scanned.length - 1;
            int from = STRIDE * (found.first() + 1) - 1;
            int to = STRIDE * (found.last() + 1) - 1;
            int before = Math.max(0, from - STRIDE + 1);
            while (from > before && at(from - 1, logF) >= floor) {
                from--;
            }
            int after = Math.min(last, to + STRIDE - 1);
            while (to < after && at(to + 1, logF) >= floor) {
                to++;
            }
            return new Stretch(from, to);
        }

        private Part part(Stretch matters) {
            double low = (double) matters.first() / STEPS;
            double half = ((matters.last() + 2.0) / STEPS - low) / 2;
            GaussIntegrator rule = RULES.computeIfAbsent(count, n -> new GaussIntegratorFactory().legendre(n));
            double[] rates = new double[count];
            double[] logs = new double[count];
            for (int i = 0; i < count; i++) {
                double s = low + half * (1 + rule.getPoint(i));
                double sine = Math.sin(angle(s));
                rates[i] = sine * sine;
                logs[i] = Math.log(30 * Math.PI * half * rule.getWeight(i)) + logDensity(a, b, s);
            }
            return new Part(rates, logs);
        }
    }

    /**
     * The rule of Gauss and Jacobi for Beta(a, b): exact for polynomials in p up to the degree 2·count − 1, whatever a and b.
     * Its nodes are the eigenvalues of the tridiagonal matrix of the recurrence of the polynomials that are orthogonal under
     * the density, its weights the squares of the first parts of the eigenvectors.
     *
     * @param a above 0
     * @param b above 0
     * @param count number of nodes, 1 and up
     */
    public static RateNodes gaussJacobi(double a, double b, int count) {
        refuse(a, b);
        double sum = a + b - 2;
        double[] main = new double[count];
        double[] beside = new double[count - 1];
        main[0] = (a - b) / (a + b);
        for (int k = 1; k < count; k++) {
            double d = 2 * k + sum;
            main[k] = (a - b) * sum / (d * (d + 2));
            beside[k - 1] = k == 1
                    ? Math.sqrt(4 * a * b / ((a + b) * (a + b) * (a + b + 1)))
                    : Math.sqrt(4.0 * k * (k + a - 1) * (k + b - 1) * (k + sum) / (d * d * (d + 1) * (d - 1)));
        }
        if (count == 1) {
            return new RateNodes(new double[] {a / (a + b)}, new double[] {b / (a + b)}, new double[] {1});
        }
        EigenDecompositionSymmetric eigen = new EigenDecompositionSymmetric(main, beside);
        double[] rates = new double[count];
        double[] rests = new double[count];
        double[] weights = new double[count];
        double all = 0;
        for (int i = 0; i < count; i++) {
            // Eigenvalues come from the greatest down.
            int from = count - 1 - i;
            rates[i] = Math.max(0, Math.min(1, (1 + eigen.getEigenvalue(from)) / 2));
            rests[i] = 1 - rates[i];
            double part = eigen.getEigenvector(from).getEntry(0);
            weights[i] = part * part;
            all += weights[i];
        }
        for (int i = 0; i < count; i++) {
            weights[i] /= all;
        }
        return new RateNodes(rates, rests, weights);
    }

    private static void refuse(double a, double b) {
        if (!(a > 0) || !(b > 0) || Double.isInfinite(a) || Double.isInfinite(b)) {
            throw new IllegalArgumentException("Beta(a, b) needs a and b above 0, not %s and %s".formatted(a, b));
        }
    }

    public int size() {
        return rates.length;
    }

    public double rate(int i) {
        return rates[i];
    }

    /** One less the rate, exact where the rate is all but one. */
    public double rest(int i) {
        return rests[i];
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
