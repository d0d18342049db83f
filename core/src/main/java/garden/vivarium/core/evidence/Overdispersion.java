package garden.vivarium.core.evidence;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/**
 * How much batches of one way differ from one another beyond chance: ρ, common to all ways of a nursery. Each way's mean
 * is integrated out under Beta(κg, κ(1−g)), g its guide rate, so that differences between ways are not taken for spread; κ, how
 * near ways lie to their guide rates, is common to all ways and 2, 4, 8, 16 or 32 with equal chance (a fixed κ would eat ρ).
 * The answer is always the posterior mean under ρ ~ Beta(1, 9): the greatest likelihood runs to its bound where every piece
 * strikes. The beta-binomial law: Skellam 1948.
 *
 * @param rho 0 to 1
 * @param batches finished batches it rests on
 */
public record Overdispersion(double rho, int batches) {

    /** Batches from which on a nursery is no longer young. */
    public static final int ENOUGH_BATCHES = 20;

    private static final double[] STRENGTHS = {2, 4, 8, 16, 32};
    private static final double PRIOR_BETA = 9;
    private static final int MEAN_NODES = 96;
    private static final int ROOT_NODES = 32;
    private static final int SCAN = 12;
    private static final int SCANS = 2;
    private static final double NEGLIGIBLE = 24;
    private static final double LARGEST_SPREAD = 0.999;

    /**
     * The finished batches of one way.
     *
     * @param guideRate g, 0 to 1, both excluded
     * @param counts {kept, of} of each batch, whole pieces
     */
    public record WayCounts(double guideRate, List<int[]> counts) {
        public WayCounts {
            counts = List.copyOf(counts);
        }
    }

    /** Estimates ρ from all ways of a nursery; 0.1, the prior's mean, when there is no batch. */
    public static Overdispersion estimate(Collection<WayCounts> ways) {
        return estimate(ways, STRENGTHS);
    }

    /** The same where κ is one of these alone. */
    static Overdispersion estimate(Collection<WayCounts> ways, double... strengths) {
        int batches = ways.stream().mapToInt(w -> w.counts().size()).sum();
        return new Overdispersion(posteriorMean(new Evidence(ways, strengths)), batches);
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** How much batches differ beyond chance. */
        HOW_MUCH,
        /** From {@code batches} finished batches: ρ = {@code rho}. */
        RHO,
        /** A tray of {@code tray} counts as {@code pieces} independent ones. */
        TRAY
    }

    private static final int TRAY = 40;

    /** How it came about. */
    public Working working() {
        return Working.of(
                Statement.of(Step.HOW_MUCH, "tray", TRAY, "pieces", TRAY / (1 + (TRAY - 1) * rho)),
                Statement.of(Step.RHO, "batches", batches, "rho", rho),
                Statement.of(Step.TRAY, "tray", TRAY, "rho", rho, "pieces", TRAY / (1 + (TRAY - 1) * rho)));
    }

    /**
     * By Gauss and Legendre over u = √ρ, in which the density is about as wide everywhere, on the part where it is worth e⁻²⁴
     * of its peak or more. That part is found by scanning ever closer.
     */
    private static double posteriorMean(Evidence evidence) {
        double low = 0;
        double high = Math.sqrt(LARGEST_SPREAD);
        for (int scan = 0; scan < SCANS; scan++) {
            double step = (high - low) / SCAN;
            double[] logs = new double[SCAN + 1];
            for (int i = 0; i <= SCAN; i++) {
                logs[i] = logDensity(evidence, low + i * step);
            }
            Stretch matters = Stretch.of(logs, NEGLIGIBLE);
            high = low + matters.after(SCAN) * step;
            low += matters.before() * step;
        }
        GaussIntegrator rule = new GaussIntegratorFactory().legendre(ROOT_NODES, low, high);
        double[] logs = new double[ROOT_NODES];
        for (int i = 0; i < ROOT_NODES; i++) {
            logs[i] = logDensity(evidence, rule.getPoint(i));
        }
        double best = Arrays.stream(logs).max().orElseThrow();
        double mass = 0;
        double moment = 0;
        for (int i = 0; i < ROOT_NODES; i++) {
            double u = rule.getPoint(i);
            double w = rule.getWeight(i) * Math.exp(logs[i] - best);
            mass += w;
            moment += w * u * u;
        }
        return moment / mass;
    }

    /** In u = √ρ: the likelihood, the prior's density and the 2u of the change of variable. */
    private static double logDensity(Evidence evidence, double u) {
        double rho = u * u;
        return u <= 0
                ? Double.NEGATIVE_INFINITY
                : evidence.logLikelihood(rho) + (PRIOR_BETA - 1) * Math.log1p(-rho) + Math.log(u);
    }

    /** All ways on common nodes of their means, so that for each ρ the products Πᵢ(μ + iθ) are made once for all batches. */
    private static final class Evidence {

        private final RateNodes means = RateNodes.of(1, 1, MEAN_NODES);
        private final int[][][] counts;
        private final double[][][] priors;
        private final int largest;

        Evidence(Collection<WayCounts> ways, double[] strengths) {
            List<WayCounts> told =
                    ways.stream().filter(w -> !w.counts().isEmpty()).toList();
            counts = told.stream().map(w -> w.counts().toArray(int[][]::new)).toArray(int[][][]::new);
            largest = told.stream()
                    .flatMap(w -> w.counts().stream())
                    .mapToInt(c -> c[1])
                    .max()
                    .orElse(0);
            priors = told.stream()
                    .map(w -> Arrays.stream(strengths)
                            .mapToObj(k -> prior(k * w.guideRate(), k * (1 - w.guideRate())))
                            .toArray(double[][]::new))
                    .toArray(double[][][]::new);
        }

        private double[] prior(double a, double b) {
            double[] logs = new double[means.size()];
            double best = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < logs.length; i++) {
                logs[i] = Math.log(means.weight(i))
                        + (a - 1) * Math.log(means.rate(i))
                        + (b - 1) * Math.log(means.rest(i));
                best = Math.max(best, logs[i]);
            }
            double sum = 0;
            for (double log : logs) {
                sum += Math.exp(log - best);
            }
            double whole = best + Math.log(sum);
            return Arrays.stream(logs).map(l -> Math.exp(l - whole)).toArray();
        }

        double logLikelihood(double rho) {
            double theta = rho / (1 - rho);
            double[] below = BetaBinomial.logRisings(1, largest, theta);
            double[][] risings = new double[means.size()][];
            for (int i = 0; i < means.size(); i++) {
                risings[i] = BetaBinomial.logRisings(means.rate(i), largest, theta);
            }
            int strengths = priors.length == 0 ? 1 : priors[0].length;
            double[] sums = new double[strengths];
            double[] logs = new double[means.size()];
            for (int w = 0; w < counts.length; w++) {
                double shared = 0;
                Arrays.fill(logs, 0);
                for (int[] c : counts[w]) {
                    shared -= below[c[1]];
                    for (int i = 0; i < logs.length; i++) {
                        // The nodes lie alike on both sides of a half: what is left of one is another.
                        logs[i] += risings[i][c[0]] + risings[logs.length - 1 - i][c[1] - c[0]];
                    }
                }
                double most = Arrays.stream(logs).max().orElseThrow();
                for (int i = 0; i < logs.length; i++) {
                    logs[i] = Math.exp(logs[i] - most);
                }
                for (int s = 0; s < strengths; s++) {
                    double sum = 0;
                    for (int i = 0; i < logs.length; i++) {
                        sum += logs[i] * priors[w][s][i];
                    }
                    sums[s] += shared + most + Math.log(Math.max(Double.MIN_NORMAL, sum));
                }
            }
            double best = Arrays.stream(sums).max().orElse(0);
            return best
                    + Math.log(Arrays.stream(sums).map(s -> Math.exp(s - best)).sum() / strengths);
        }
    }
}
