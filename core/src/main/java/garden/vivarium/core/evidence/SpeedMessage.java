package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * What one batch says of its own x = ln(days ÷ guide's median), as a normal message: its likelihood on x = −3, −2.98 … 3 times
 * N(0, 0.5²) has mean e, variance v and sum E; q = max(1/v − 4, 10⁻⁶) is the message's precision and r = e(q + 4) its precision
 * times its mean (expectation propagation with one site: Minka 2001).
 *
 * <p>The likelihood: Π [F(by) − F(after)] over pieces that reached the milestone. If pieces are pending or sent, times
 * ∫ pᵏ Π (1 − pF(cᵢ)) dBeta(p; a, b) over all that did not reach it, cᵢ the piece's own last look and of lost ones the batch's
 * last. If none is, those that did not reach it never will, and say nothing of x.
 *
 * @param q precision, above 0
 * @param r precision times mean
 * @param mean e, with the prior N(0, 0.5²)
 * @param variance v, with the prior
 * @param logEvidence ln E, up to a constant that does not depend on the spread
 */
record SpeedMessage(double q, double r, double mean, double variance, double logEvidence) {

    private static final double REACH = 3;
    private static final double STEP = 0.02;
    private static final int GRID_POINTS = (int) Math.round(2 * REACH / STEP) + 1;
    private static final double PRIOR_PRECISION = 4;
    private static final double LEAST_PRECISION = 1e-6;
    private static final double SMALLEST = 1e-300;
    /** A point this far below the best cannot be told from nothing. */
    private static final double NEGLIGIBLE = 60;

    private static final int COARSE = 10;
    private static final int LEAST_NODES = 12;
    private static final int MOST_NODES = 96;

    /** Says nothing. */
    static final SpeedMessage NOTHING = new SpeedMessage(LEAST_PRECISION, 0, 0, 1 / PRIOR_PRECISION, 0);

    /**
     * What a batch says.
     *
     * @param tallies its intervals for the milestone
     * @param guideMu μ₀ with what its season slows
     * @param within s, above 0
     * @param rate its rate as known from finished batches
     */
    static SpeedMessage of(Tallies tallies, double guideMu, double within, NextBatch rate) {
        Likelihood likelihood = new Likelihood(tallies, guideMu, within, rate);
        int[] range = range(likelihood);
        double[] logs = new double[range[1] - range[0] + 1];
        double best = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < logs.length; i++) {
            logs[i] = weight(likelihood, range[0] + i);
            best = Math.max(best, logs[i]);
        }
        double sum = 0;
        double first = 0;
        double second = 0;
        for (int i = 0; i < logs.length; i++) {
            double x = x(range[0] + i);
            double weight = Math.exp(logs[i] - best);
            sum += weight;
            first += weight * x;
            second += weight * x * x;
        }
        double e = first / sum;
        double v = Math.max(second / sum - e * e, STEP * STEP / 12);
        double q = Math.max(1 / v - PRIOR_PRECISION, LEAST_PRECISION);
        return new SpeedMessage(q, e * (q + PRIOR_PRECISION), e, v, best + Math.log(sum));
    }

    /** The first and last point that matter: found by looking at every tenth. */
    private static int[] range(Likelihood likelihood) {
        double[] logs = new double[(GRID_POINTS - 1) / COARSE + 1];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = weight(likelihood, i * COARSE);
        }
        Stretch matters = Stretch.of(logs, NEGLIGIBLE);
        return new int[] {matters.before() * COARSE, matters.after(logs.length - 1) * COARSE};
    }

    private static double weight(Likelihood likelihood, int i) {
        return likelihood.log(x(i)) - PRIOR_PRECISION * x(i) * x(i) / 2;
    }

    private static double x(int i) {
        return -REACH + STEP * i;
    }

    static double power(double base, int exponent) {
        double result = 1;
        double square = base;
        for (int e = exponent; e > 0; e >>= 1) {
            if ((e & 1) != 0) {
                result *= square;
            }
            square *= square;
        }
        return result;
    }

    /** What the tallies say of any x. */
    private static final class Likelihood {

        private final double guideMu;
        private final double within;
        private final double[] logDays;
        private final int[] after;
        private final int[] by;
        private final long[] reached;
        private final int[] unreachedOn;
        private final int[] unreached;
        private final RateNodes rates;
        private final double[] below;
        private final double[] above;

        Likelihood(Tallies tallies, double guideMu, double within, NextBatch rate) {
            this.guideMu = guideMu;
            this.within = within;
            NavigableMap<Integer, Integer> notYet = notYet(tallies);
            var times = tallies.with(Outcome.REACHED);
            NavigableMap<Integer, Integer> places = new TreeMap<>();
            times.keySet().forEach(i -> {
                places.put(i.after(), 0);
                places.put(i.by(), 0);
            });
            notYet.keySet().forEach(d -> places.put(d, 0));
            int place = 0;
            for (Map.Entry<Integer, Integer> day : places.entrySet()) {
                day.setValue(place++);
            }
            logDays = places.keySet().stream().mapToDouble(Math::log).toArray();
            after = times.keySet().stream().mapToInt(i -> places.get(i.after())).toArray();
            by = times.keySet().stream().mapToInt(i -> places.get(i.by())).toArray();
            reached = times.values().stream().mapToLong(Long::longValue).toArray();
            unreachedOn = notYet.keySet().stream().mapToInt(places::get).toArray();
            unreached = notYet.values().stream().mapToInt(Integer::intValue).toArray();
            int all = notYet.values().stream().mapToInt(Integer::intValue).sum();
            // Exact where the nodes are half as many as the polynomial's degree; beyond that their spacing near 0
            // decides.
            rates = all == 0
                    ? null
                    : RateNodes.gaussJacobi(rate.a() + tallies.total(Outcome.REACHED), rate.b(), (int)
                            Math.min(MOST_NODES, LEAST_NODES + 2 * Math.sqrt(all)));
            below = new double[logDays.length];
            above = new double[logDays.length];
        }

        /** Pieces that have not reached the milestone, by their last look, while some still may. */
        private static NavigableMap<Integer, Integer> notYet(Tallies tallies) {
            NavigableMap<Integer, Integer> byDay = new TreeMap<>();
            if (tallies.total(Outcome.PENDING) + tallies.total(Outcome.SENT) > 0) {
                int last = tallies.lastDay();
                tallies.counts().forEach((i, n) -> {
                    if (i.outcome() != Outcome.REACHED) {
                        byDay.merge(i.outcome() == Outcome.LOST ? last : i.after(), n.intValue(), Integer::sum);
                    }
                });
                byDay.remove(0);
            }
            return byDay;
        }

        double log(double x) {
            for (int d = 0; d < logDays.length; d++) {
                double z = (logDays[d] - guideMu - x) / within;
                below[d] = StandardNormal.below(z);
                above[d] = StandardNormal.below(-z);
            }
            double log = 0;
            for (int i = 0; i < reached.length; i++) {
                // By the tails that do not cancel.
                double between =
                        above[after[i]] < 0.5 ? above[after[i]] - above[by[i]] : below[by[i]] - below[after[i]];
                log += reached[i] * Math.log(Math.max(SMALLEST, between));
            }
            return rates == null ? log : log + Math.log(Math.max(SMALLEST, ofThoseNotYet()));
        }

        private double ofThoseNotYet() {
            double sum = 0;
            for (int i = 0; i < rates.size(); i++) {
                double product = rates.weight(i);
                for (int d = 0; d < unreachedOn.length; d++) {
                    product *= power(1 - rates.rate(i) * below[unreachedOn[d]], unreached[d]);
                }
                sum += product;
            }
            return sum;
        }
    }
}
