package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RateNodes;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;

/**
 * What is not known of a way, and so is the same for all of its batches: the mean μ ~ Beta(α, β) of their rates, and the way's
 * x ~ N(M, V). Once both are given, batches are independent: each has its own rate p ~ Beta(μ(1−ρ)/ρ, (1−μ)(1−ρ)/ρ) and its own
 * speed, which scatters by τ.
 *
 * @param strike α, β and ρ
 * @param time M, V and τ
 */
public record SharedDoubt(StrikeRate strike, RootingTime time) {

    static final int RATES = 8;
    static final int SPEEDS = 7;

    private static final double LEAST_RHO = 1e-4;
    // A rule costs far more to make than to use.
    private static final Map<Integer, GaussIntegrator> HERMITE = new ConcurrentHashMap<>();
    private static final double MOST_MEAN = 0.9999;

    /**
     * One of the values that what is shared may have.
     *
     * @param weight how likely, before any look at a batch; all sum to one
     * @param ofMean μ over its mean
     * @param deviations the way's x less M, in standard deviations √V
     */
    record Node(double weight, double ofMean, double deviations) {}

    /** Nodes of both, by Gauss and Jacobi and by Gauss and Hermite. */
    List<Node> nodes(int rates, int speeds) {
        RateNodes means = RateNodes.gaussJacobi(strike.alpha(), strike.beta(), rates);
        int kinds = time.unsure() == 0 ? 1 : speeds;
        GaussIntegrator speed = HERMITE.computeIfAbsent(kinds, n -> new GaussIntegratorFactory().hermite(n));
        List<Node> nodes = new ArrayList<>();
        for (int i = 0; i < rates; i++) {
            for (int j = 0; j < kinds; j++) {
                nodes.add(new Node(
                        means.weight(i) * speed.getWeight(j) / Math.sqrt(Math.PI),
                        means.rate(i) / strike.mean(),
                        Math.sqrt(2) * speed.getPoint(j)));
            }
        }
        return nodes;
    }

    /** The rate of a batch where what is shared has these values. */
    NextBatch rate(Node node) {
        double mean = Math.max(1 - MOST_MEAN, Math.min(MOST_MEAN, strike.mean() * node.ofMean()));
        double rho = Math.max(LEAST_RHO, strike.rho());
        double strength = (1 - rho) / rho;
        return new NextBatch(mean * strength, (1 - mean) * strength);
    }

    /** The time of a batch where what is shared has these values. */
    RootingTime time(Node node) {
        return time.withShift(time.shift() + node.deviations() * Math.sqrt(time.unsure()));
    }
}
