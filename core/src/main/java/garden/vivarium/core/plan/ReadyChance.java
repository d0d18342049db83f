package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RateNodes;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.guide.OutputRatio;
import java.util.function.Supplier;
import org.apache.commons.numbers.gamma.RegularizedBeta;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.hipparchus.special.Gamma;

/**
 * How many of n pieces are ready after t days: K | p, u ~ Binomial(n, p·Φ((ln t − μ − u)/√(σ² − τ²))) with p ~ Beta(a, b)
 * the next batch's rate and u ~ N(0, τ²) its speed. The integral over p and u is a sum over nodes. Section 5 of the
 * design's science page.
 */
public final class ReadyChance {

    /** How far the rough chance may stray from the exact one, well beyond what it does. */
    static final double ROUGH_IS_WITHIN = 0.02;

    private static final Nodes FINE = new Nodes(56, 41);
    private static final Nodes ROUGH = new Nodes(24, 9);
    private static final GaussIntegrator FINE_SPEEDS = new GaussIntegratorFactory().hermite(FINE.speeds());
    private static final GaussIntegrator ROUGH_SPEEDS = new GaussIntegratorFactory().hermite(ROUGH.speeds());

    private final double[] chances;
    private final double[] weights;
    private final Supplier<ReadyChance> rough;

    private ReadyChance(double[] chances, double[] weights, Supplier<ReadyChance> rough) {
        this.chances = chances;
        this.weights = weights;
        this.rough = rough;
    }

    private record Nodes(int rates, int speeds) {}

    /** With unlimited time: every piece that ever will has become ready. */
    public static ReadyChance withUnlimitedTime(NextBatch rate) {
        return of(rate, new double[] {1}, new double[] {1}, FINE, null);
    }

    /**
     * After a number of days.
     *
     * @param rate the next batch's rate, already lowered by other stages and the season
     * @param time days to ready, already shifted by the season
     * @param days t, days between the day stuck and the day due, less settling; 0 or less gives no chance
     */
    public static ReadyChance after(NextBatch rate, RootingTime time, double days) {
        return after(rate, time, days, FINE, () -> after(rate, time, days, ROUGH, null));
    }

    private static ReadyChance after(
            NextBatch rate, RootingTime time, double days, Nodes nodes, Supplier<ReadyChance> rough) {
        if (days <= 0) {
            return new ReadyChance(new double[] {0}, new double[] {1}, null);
        }
        if (time.tau() == 0) {
            return of(rate, new double[] {time.by(days)}, new double[] {1}, nodes, rough);
        }
        // The rule's weight is e^(−x²), so u = √2·τ·x and weights are over √π.
        GaussIntegrator rule = nodes == FINE ? FINE_SPEEDS : ROUGH_SPEEDS;
        double[] there = new double[nodes.speeds()];
        double[] weight = new double[nodes.speeds()];
        for (int i = 0; i < there.length; i++) {
            there[i] = time.by(days, Math.sqrt(2) * time.tau() * rule.getPoint(i));
            weight[i] = rule.getWeight(i) / Math.sqrt(Math.PI);
        }
        return of(rate, there, weight, nodes, rough);
    }

    /** The same chance to some three figures, at a tenth of the cost: good for finding where to look closely. */
    ReadyChance rough() {
        return rough == null ? this : rough.get();
    }

    /**
     * The chance that at least {@code needed} of {@code pieces} are ready.
     *
     * @param needed 0 and up
     * @param pieces 0 and up
     */
    public double atLeast(int needed, int pieces) {
        if (needed <= 0) {
            return 1;
        }
        if (needed > pieces) {
            return 0;
        }
        double sum = 0;
        for (int i = 0; i < chances.length; i++) {
            sum += weights[i] * upperTail(needed, pieces, chances[i]);
        }
        return Math.min(1, sum);
    }

    /**
     * The chance that {@code needed} young plants come of {@code pieces} pieces, when each ready piece yields as the
     * output ratio says. Yields are convolved, never multiplied as means.
     */
    public double atLeast(int needed, int pieces, OutputRatio output) {
        if (output.isOne()) {
            return atLeast(needed, pieces);
        }
        // P(sum ≥ N) = Σₖ [gₖ − gₖ₋₁]·P(K ≥ k), gₖ the chance that k ready pieces yield enough.
        double[] enough = output.chancesOfAtLeast(needed);
        int most = Math.min(needed, pieces);
        int least = 1;
        while (least <= most && enough[least] == 0) {
            least++;
        }
        if (needed <= 0 || least > most) {
            return needed <= 0 ? 1 : 0;
        }
        double sum = 0;
        for (int i = 0; i < chances.length; i++) {
            sum += weights[i] * expectedOverTails(enough, least, most, pieces, chances[i]);
        }
        return Math.min(1, sum);
    }

    /** Σₖ [gₖ − gₖ₋₁]·P(K ≥ k) for k from least to most: one tail, then down by single chances P(K = k). */
    private static double expectedOverTails(double[] enough, int least, int most, int n, double q) {
        if (q <= 0) {
            return 0;
        }
        if (q >= 1) {
            return enough[most];
        }
        double tail = upperTail(most, n, q);
        double sum = (enough[most] - enough[most - 1]) * tail;
        double odds = (1 - q) / q;
        double single = Math.exp(logChance(most - 1, n, q));
        for (int k = most - 1; k >= least; k--) {
            tail += single;
            sum += (enough[k] - enough[k - 1]) * tail;
            single *= k / (n - k + 1.0) * odds;
        }
        return sum;
    }

    private static double logChance(int k, int n, double q) {
        return Gamma.logGamma(n + 1.0)
                - Gamma.logGamma(k + 1.0)
                - Gamma.logGamma(n - k + 1.0)
                + k * Math.log(q)
                + (n - k) * Math.log1p(-q);
    }

    /** Mean share of pieces that are ready. */
    public double meanShare() {
        double sum = 0;
        for (int i = 0; i < chances.length; i++) {
            sum += weights[i] * chances[i];
        }
        return sum;
    }

    private static ReadyChance of(
            NextBatch rate, double[] there, double[] thereWeight, Nodes fineness, Supplier<ReadyChance> rough) {
        RateNodes nodes = RateNodes.of(rate.a(), rate.b(), fineness.rates());
        double[] chances = new double[nodes.size() * there.length];
        double[] weights = new double[chances.length];
        int at = 0;
        for (int j = 0; j < there.length; j++) {
            for (int i = 0; i < nodes.size(); i++) {
                chances[at] = nodes.rate(i) * there[j];
                weights[at] = nodes.weight(i) * thereWeight[j];
                at++;
            }
        }
        return new ReadyChance(chances, weights, rough);
    }

    /** P(X ≥ k) for X ~ Binomial(n, q), as the regularised incomplete beta function I_q(k, n−k+1). */
    private static double upperTail(int k, int n, double q) {
        if (q <= 0) {
            return 0;
        }
        if (q >= 1) {
            return 1;
        }
        // Nine standard deviations away the tail is nought or one to sixteen figures; the function is dear.
        double away = k - 0.5 - n * q;
        double reach = 9 * Math.sqrt(n * q * (1 - q)) + 9;
        if (away > reach) {
            return 0;
        }
        if (away < -reach) {
            return 1;
        }
        return RegularizedBeta.value(q, k, n - k + 1.0);
    }
}
