package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.Binomial;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RateNodes;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.guide.OutputRatio;

/**
 * How many of n pieces are ready after t days: K | p, x ~ Binomial(n, p·F(t | x)), F(t | x) = Φ((ln t − μ₀ − x)/s), with
 * p ~ Beta(a, b) the next batch's rate and x ~ N(M, V + τ²) its speed: what is not known of the way's speed and what batches
 * differ by together.
 *
 * <p>What matters of p and u is their product's effect alone, the share q of pieces that are there. So the plane of p and u
 * is summed once, by nodes, onto a line of q ({@link ShareGrid}); each question after that is a sum over that line. A test
 * holds it to 0.00005 of a far finer double sum for up to 60 pieces, and to 0.001 for thousands.
 */
public final class ReadyChance {

    private static final int RATES = 128;
    private static final int FEW_RATES = 40;

    /** Nodes of less weight than this cannot be told from nothing in any sum. */
    private static final double NEGLIGIBLE = 1e-13;

    private static final double ROUGHLY_NEGLIGIBLE = 1e-7;

    /** Nodes of speed stand this far apart on the scale of ln(days), or closer. */
    private static final double SPEED_STEP = 0.025;

    private static final double ROUGH_SPEED_STEP = 0.06;

    /** Beyond so many standard deviations of speed nothing is left to six figures. */
    private static final double SPEED_REACH = 5.5;

    private final double negligible;
    private final double[] shares;
    private final double[] logShares;
    private final double[] logRests;
    private final double[] weights;

    private ReadyChance(double[] shares, double[] weights, double negligible) {
        this.negligible = negligible;
        this.shares = shares;
        this.weights = weights;
        this.logShares = new double[shares.length];
        this.logRests = new double[shares.length];
        for (int i = 0; i < shares.length; i++) {
            logShares[i] = Math.log(shares[i]);
            logRests[i] = Math.log1p(-shares[i]);
        }
    }

    /** Fewer nodes: for chances that are averaged over many others anyway. */
    static OfRate roughly(NextBatch rate) {
        return new OfRate(RateNodes.of(rate.a(), rate.b(), FEW_RATES), ROUGHLY_NEGLIGIBLE, ROUGH_SPEED_STEP);
    }

    /** The chances of a batch of one rate, on whatever day it is due: its nodes are laid once. */
    public static OfRate of(NextBatch rate) {
        return new OfRate(RateNodes.of(rate.a(), rate.b(), RATES), NEGLIGIBLE, SPEED_STEP);
    }

    /** Chances of one rate. */
    public static final class OfRate {

        private final RateNodes rates;
        private final double negligible;
        private final double speedStep;

        private OfRate(RateNodes rates, double negligible, double speedStep) {
            this.rates = rates;
            this.negligible = negligible;
            this.speedStep = speedStep;
        }

        /** With unlimited time: every piece that ever will has become ready. */
        public ReadyChance withUnlimitedTime() {
            return onGrid(new double[] {1}, new double[] {1});
        }

        /**
         * After a number of days.
         *
         * @param time days to ready, already shifted by the season
         * @param days t, days between the day stuck and the day due, less settling; 0 or less gives no chance
         */
        public ReadyChance after(RootingTime time, double days) {
            if (Double.isNaN(days)) {
                throw new IllegalArgumentException("the days until the day due must be a number");
            }
            if (days <= 0) {
                return new ReadyChance(new double[] {0}, new double[] {1}, NEGLIGIBLE);
            }
            double deviation = time.ofNextBatch();
            if (deviation == 0) {
                return onGrid(new double[] {time.by(days, 0)}, new double[] {1});
            }
            // Equal steps: of a normal density that dies away at both ends they take a smooth integral to every figure.
            int half = (int) Math.ceil(SPEED_REACH * Math.max(0.12, deviation) / speedStep);
            double[] there = new double[2 * half + 1];
            double[] weight = new double[there.length];
            double sum = 0;
            for (int i = 0; i < there.length; i++) {
                double away = SPEED_REACH * (i - half) / half;
                there[i] = time.by(days, away * deviation);
                weight[i] = Math.exp(-away * away / 2);
                sum += weight[i];
            }
            for (int i = 0; i < weight.length; i++) {
                weight[i] /= sum;
            }
            return onGrid(there, weight);
        }

        private ReadyChance onGrid(double[] there, double[] weight) {
            ShareGrid grid = new ShareGrid();
            for (int j = 0; j < there.length; j++) {
                grid.start();
                for (int i = 0; i < rates.size(); i++) {
                    grid.add(rates.rate(i) * there[j], rates.weight(i) * weight[j]);
                }
            }
            return new ReadyChance(grid.shares(), grid.weights(), negligible);
        }
    }

    /** With unlimited time: every piece that ever will has become ready. */
    public static ReadyChance withUnlimitedTime(NextBatch rate) {
        return of(rate).withUnlimitedTime();
    }

    /**
     * After a number of days.
     *
     * @param rate the next batch's rate, already lowered by other stages and the season
     * @param time days to ready, already shifted by the season
     * @param days t, days between the day stuck and the day due, less settling; 0 or less gives no chance
     */
    public static ReadyChance after(NextBatch rate, RootingTime time, double days) {
        return of(rate).after(time, days);
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
        double logWays = Binomial.logChoose(pieces, needed);
        double sum = 0;
        for (int i = 0; i < shares.length; i++) {
            sum += weights[i] * upperTail(i, needed, pieces, logWays);
        }
        return Math.max(0, Math.min(1, sum));
    }

    /**
     * The chance that {@code needed} young plants come of {@code pieces} pieces, when each ready piece yields as the
     * output ratio says. Yields are convolved, never multiplied as means.
     */
    public double atLeast(int needed, int pieces, OutputRatio output) {
        if (output.isOne() || needed <= 0) {
            return atLeast(needed, pieces);
        }
        double[] ready = distribution(pieces);
        double[] enough = output.chancesOfAtLeast(needed);
        double sum = 0;
        for (int k = 0; k <= pieces; k++) {
            sum += ready[k] * enough[Math.min(k, needed)];
        }
        return Math.max(0, Math.min(1, sum));
    }

    /**
     * The chances of 0, 1, … n ready.
     *
     * @param pieces n, 0 and up
     */
    public double[] distribution(int pieces) {
        double[] chances = new double[pieces + 1];
        for (int i = 0; i < shares.length; i++) {
            double q = shares[i];
            if (Math.abs(weights[i]) < negligible) {
                continue;
            }
            int middle = (int) Math.min(pieces, Math.floor((pieces + 1) * q));
            double peak = weights[i] * (q <= 0 || q >= 1 ? 1 : Math.exp(logSingle(i, middle, pieces)));
            chances[middle] += peak;
            if (q <= 0 || q >= 1) {
                continue;
            }
            double least = Math.abs(peak) * 1e-14;
            double odds = q / (1 - q);
            double at = peak;
            for (int k = middle; k < pieces && Math.abs(at) > least; k++) {
                at *= (pieces - k) / (k + 1.0) * odds;
                chances[k + 1] += at;
            }
            at = peak;
            for (int k = middle; k > 0 && Math.abs(at) > least; k--) {
                at *= k / (pieces - k + 1.0) / odds;
                chances[k - 1] += at;
            }
        }
        return chances;
    }

    /** Mean share of pieces that are ready. */
    public double meanShare() {
        double sum = 0;
        for (int i = 0; i < shares.length; i++) {
            sum += weights[i] * shares[i];
        }
        return sum;
    }

    /**
     * P(X ≥ k) for X ~ Binomial(n, q): the terms of whichever tail is the shorter, each from the one before. A tenth of what
     * the incomplete beta function costs here, and held equal to it by a test.
     */
    private double upperTail(int i, int k, int n, double logWays) {
        double q = shares[i];
        if (q <= 0 || Math.abs(weights[i]) < negligible) {
            return 0;
        }
        if (q >= 1) {
            return 1;
        }
        // Nine standard deviations away the tail is nought or one to sixteen figures.
        double away = k - 0.5 - n * q;
        double reach = 9 * Math.sqrt(n * q * (1 - q)) + 9;
        if (away > reach) {
            return 0;
        }
        if (away < -reach) {
            return 1;
        }
        double term = Math.exp(logWays + k * logShares[i] + (n - k) * logRests[i]);
        double odds = q / (1 - q);
        if (away > 0) {
            double tail = term;
            for (int j = k; j < n && term > 1e-17; j++) {
                term *= (n - j) / (j + 1.0) * odds;
                tail += term;
            }
            return tail;
        }
        double below = 0;
        for (int j = k; j > 0; j--) {
            term *= j / (n - j + 1.0) / odds;
            below += term;
            if (term < 1e-17) {
                break;
            }
        }
        return 1 - below;
    }

    private double logSingle(int i, int k, int n) {
        return Binomial.logChoose(n, k) + k * logShares[i] + (n - k) * logRests[i];
    }
}
