package garden.vivarium.core.evidence;

import garden.vivarium.core.Working;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.univariate.BrentOptimizer;
import org.hipparchus.optim.univariate.SearchInterval;
import org.hipparchus.optim.univariate.UnivariateObjectiveFunction;

/**
 * How much batches of one way differ from one another beyond chance: ρ, common to all ways of a nursery. Each way's mean
 * is integrated out under Beta(4g, 4(1−g)), g its guide rate, so that differences between ways are not taken for spread.
 * With twenty or more batches ρ maximises the likelihood; with fewer it is the posterior mean under Beta(1, 9). Section 3
 * of the design's science page.
 *
 * @param rho 0 to 1
 * @param batches finished batches it rests on
 * @param logLikelihood of all batches at ρ, natural logarithm
 */
public record Overdispersion(double rho, int batches, double logLikelihood) {

    /** Batches from which on the likelihood alone decides. */
    public static final int ENOUGH_BATCHES = 20;

    private static final int MEAN_NODES = 64;
    private static final int RHO_NODES = 64;
    private static final double PRIOR_BETA = 9;

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
        int batches = ways.stream().mapToInt(w -> w.counts().size()).sum();
        List<Prepared> prepared = ways.stream().map(Prepared::new).toList();
        double rho = batches >= ENOUGH_BATCHES ? maximum(prepared) : posteriorMean(prepared);
        return new Overdispersion(rho, batches, logLikelihood(prepared, rho));
    }

    /** How it came about. */
    public Working working() {
        return Working.of(
                "How much batches differ beyond chance",
                Working.step(
                        batches >= ENOUGH_BATCHES
                                ? "The spread that makes your %d finished batches most likely".formatted(batches)
                                : "With %d finished batches the nursery is young: their evidence is averaged with what is usual"
                                        .formatted(batches),
                        String.format(Locale.ROOT, "ρ = %.3f", rho)),
                Working.step(
                        "So a tray of 40 counts as this many independent pieces",
                        String.format(Locale.ROOT, "40 ÷ (1 + 39 × %.3f) = %.1f", rho, 40 / (1 + 39 * rho))));
    }

    static double logLikelihoodAt(Collection<WayCounts> ways, double rho) {
        return logLikelihood(ways.stream().map(Prepared::new).toList(), rho);
    }

    private static double maximum(List<Prepared> ways) {
        return new BrentOptimizer(1e-6, 1e-6)
                .optimize(
                        new MaxEval(200),
                        GoalType.MAXIMIZE,
                        new SearchInterval(0, 0.95, 0.08),
                        new UnivariateObjectiveFunction(rho -> logLikelihood(ways, rho)))
                .getPoint();
    }

    private static double posteriorMean(List<Prepared> ways) {
        GaussIntegrator rule = new GaussIntegratorFactory().legendre(RHO_NODES, 0, 1);
        double[] logs = new double[RHO_NODES];
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < RHO_NODES; i++) {
            logs[i] = logLikelihood(ways, rule.getPoint(i)) + (PRIOR_BETA - 1) * Math.log1p(-rule.getPoint(i));
            highest = Math.max(highest, logs[i]);
        }
        double mass = 0;
        double moment = 0;
        for (int i = 0; i < RHO_NODES; i++) {
            double w = rule.getWeight(i) * Math.exp(logs[i] - highest);
            mass += w;
            moment += w * rule.getPoint(i);
        }
        return moment / mass;
    }

    private static double logLikelihood(List<Prepared> ways, double rho) {
        return ways.stream().mapToDouble(w -> w.logLikelihood(rho)).sum();
    }

    /** A way with the nodes of its mean's prior. */
    private static final class Prepared {
        private final List<int[]> counts;
        private final RateNodes means;
        private final double constant;
        private final int largest;

        Prepared(WayCounts way) {
            counts = way.counts();
            means = RateNodes.of(4 * way.guideRate(), 4 * (1 - way.guideRate()), MEAN_NODES);
            largest = counts.stream().mapToInt(c -> c[1]).max().orElse(0);
            constant = counts.stream()
                    .mapToDouble(c -> BetaBinomial.logChoose(c[1], c[0]))
                    .sum();
        }

        double logLikelihood(double rho) {
            if (counts.isEmpty()) {
                return 0;
            }
            double theta = rho / (1 - rho);
            double[] denominators = BetaBinomial.logDenominators(largest, theta);
            double shared = constant;
            for (int[] c : counts) {
                shared -= denominators[c[1]];
            }
            double[] logs = new double[means.size()];
            double highest = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < logs.length; i++) {
                double log = 0;
                for (int[] c : counts) {
                    log += BetaBinomial.logNumerator(c[0], c[1], means.rate(i), theta);
                }
                logs[i] = log;
                highest = Math.max(highest, log);
            }
            double sum = 0;
            for (int i = 0; i < logs.length; i++) {
                sum += means.weight(i) * Math.exp(logs[i] - highest);
            }
            return shared + highest + Math.log(sum);
        }
    }
}
