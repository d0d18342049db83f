package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.special.Beta;

/**
 * What is known of one batch while it runs, from what was expected and every look at its own pieces. Over its rate
 * p ~ Beta(a, b), its x ~ N(M, V + τ²) and the share H of failures that show themselves, the weight is
 *
 * <p>Π over ready pieces p[F(by) − F(after)] · [(1−p)H(last look)]ˡ · Π over given up (1−p)(1−H(alive)) · Π over pending and sent
 * D, D = p(1−F(after)) + (1−p)(1−H(alive)),
 *
 * <p>and a pending piece is ready by day d with p(F(d) − F(after))/D: Bayes' rule for a mixture of pieces that will and pieces
 * that never will (a cure model: Maller and Zhou 1996). Each piece is judged by its own last look that could know.
 *
 * <p>Sums: p by Gauss and Jacobi with the ready, lost and given-up pieces in the weight (for many pending pieces, by Gauss and
 * Legendre where at each x and H anything is left), x in equal steps over where it matters,
 * H by equally likely values; nodes are doubled until neither what is known of p nor what is still to come moves. Weights are
 * kept in logarithms.
 */
public final class RunningBatch {

    private static final int RATES = 12;
    private static final int SPEEDS = 12;
    private static final int ROUGH_RATES = 10;
    private static final int ROUGH_SPEEDS = 12;
    private static final int MOST_RATES = 96;
    private static final int SCAN = 24;
    /** Nodes of less weight than this are dropped: together they must not move a variance. */
    private static final double DROPPED = 1e-9;

    private static final double ROUGHLY_DROPPED = 1e-6;
    private static final int ROUGH_SCAN = 14;
    private static final double STILL = 1e-3;
    private static final double STILL_SPREAD = 0.02;
    private static final double LEAST_VARIANCE = 1e-6;

    private final RootingTime time;
    private final List<Open> open;
    private final Nodes nodes;
    private final int cells;

    private RunningBatch(RootingTime time, List<Open> open, Nodes nodes, int cells) {
        this.time = time;
        this.open = open;
        this.nodes = nodes;
        this.cells = cells;
    }

    /**
     * Pieces without an end: pending, sent or given up.
     *
     * @param interval theirs
     * @param pieces how many
     * @param shown values of H on the day each was last seen alive
     */
    private record Open(Interval interval, int pieces, double[] shown) {

        boolean isPending() {
            return interval.outcome() == Outcome.PENDING;
        }

        boolean mayYet() {
            return interval.outcome() != Outcome.GIVEN_UP;
        }
    }

    /**
     * Weighs what was expected by what was seen.
     *
     * @param prior what was expected before it began, from finished batches alone
     * @param tallies of ready, or of another milestone of which the prior speaks
     */
    public static RunningBatch of(BatchPrior prior, Tallies tallies) {
        List<Open> open = open(prior, tallies);
        Likelihood likelihood = new Likelihood(prior, tallies, open);
        int speeds = prior.time().ofNextBatch() == 0 ? 1 : SPEEDS;
        double[] range = likelihood.range(speeds, SCAN, 2);
        RunningBatch batch = new RunningBatch(
                prior.time(), open, likelihood.nodes(RATES, speeds, range, DROPPED), CountMixture.FINE);
        for (int rates = 2 * RATES; rates <= MOST_RATES; rates *= 2) {
            speeds = speeds == 1 ? 1 : 2 * speeds;
            RunningBatch finer = new RunningBatch(
                    prior.time(), open, likelihood.nodes(rates, speeds, range, DROPPED), CountMixture.FINE);
            boolean stands = finer.isNear(batch);
            batch = finer;
            if (stands) {
                break;
            }
        }
        return batch;
    }

    /** The same with few nodes: to three figures, where it is averaged over many values of what its way shares. */
    public static RunningBatch roughly(BatchPrior prior, Tallies tallies) {
        List<Open> open = open(prior, tallies);
        Likelihood likelihood = new Likelihood(prior, tallies, open);
        int speeds = prior.time().ofNextBatch() == 0 ? 1 : ROUGH_SPEEDS;
        return new RunningBatch(
                prior.time(),
                open,
                likelihood.nodes(ROUGH_RATES, speeds, likelihood.range(speeds, ROUGH_SCAN, 1), ROUGHLY_DROPPED),
                CountMixture.ROUGH);
    }

    private static List<Open> open(BatchPrior prior, Tallies tallies) {
        List<Open> open = new ArrayList<>();
        tallies.counts().forEach((i, n) -> {
            if (i.outcome().isOpen()) {
                open.add(new Open(i, n.intValue(), prior.shown().values(i.alive())));
            }
        });
        return open;
    }

    private boolean isNear(RunningBatch other) {
        double variance = nodes.variance();
        double deviation = Math.sqrt(Math.max(LEAST_VARIANCE, variance));
        return Math.abs(nodes.mean() - other.nodes.mean()) < Math.min(STILL, STILL_SPREAD * deviation)
                && Math.abs(variance - other.nodes.variance()) < 2 * STILL_SPREAD * deviation * deviation
                && Math.abs(everReady() - other.everReady()) < STILL
                && Math.abs(logEvidence() - other.logEvidence()) < STILL;
    }

    /** The logarithm of Z, the weights' sum: how likely what was seen was before, up to a constant of the counts alone. */
    public double logEvidence() {
        return nodes.logEvidence;
    }

    /** The mean of this batch's own rate. */
    public double rate() {
        return nodes.mean();
    }

    /** The standard deviation of this batch's own rate. */
    public double rateDeviation() {
        return Math.sqrt(nodes.variance());
    }

    /**
     * This batch as the finished one that would tell the same of its way: k* = mS − a of n* = S − a − b, where m and v are mean
     * and variance of its rate and S = m(1−m)/v − 1.
     *
     * @param prior Beta(a, b), with which it was weighed
     * @param pieces pieces stuck, less those sent: it can tell no more than that
     * @return k* and n*, each 0 or more
     */
    public double[] asFinished(NextBatch prior, int pieces) {
        double m = rate();
        double v = Math.max(nodes.variance(), LEAST_VARIANCE * LEAST_VARIANCE);
        double s = m * (1 - m) / v - 1;
        double kept = Math.max(0, m * s - prior.a());
        double failed = Math.max(0, (1 - m) * s - prior.b());
        double most = kept + failed > pieces ? pieces / (kept + failed) : 1;
        return new double[] {kept * most, (kept + failed) * most};
    }

    /** The chance that a pending piece, taken at random, is ever ready; 0 where none is pending. */
    public double everReady() {
        return averaged(Double.POSITIVE_INFINITY);
    }

    /** The chance that a pending piece, taken at random, has become ready by the day; 0 where none is pending. */
    public double readyBy(double day) {
        return averaged(day);
    }

    private double averaged(double day) {
        double sum = 0;
        int pieces = 0;
        for (Open o : open) {
            if (o.isPending()) {
                sum += o.pieces() * chance(o, day);
                pieces += o.pieces();
            }
        }
        return pieces == 0 ? 0 : sum / pieces;
    }

    /**
     * Pieces that wait and were last looked at on the same days.
     *
     * @param after day of their last look that could know
     * @param pieces how many
     * @param everReady the chance that one of them is ever ready
     */
    public record Waiting(int after, int pieces, double everReady) {}

    /** The pending pieces, those looked at longest ago first. */
    public List<Waiting> waiting() {
        return open.stream()
                .filter(Open::isPending)
                .map(o -> new Waiting(o.interval().after(), o.pieces(), chance(o, Double.POSITIVE_INFINITY)))
                .toList();
    }

    private double chance(Open group, double day) {
        Chances chances = new Chances(group, day);
        double sum = 0;
        for (int i = 0; i < nodes.size(); i++) {
            sum += nodes.weights[i] * chances.at(i);
        }
        return sum;
    }

    /** The chances that 0, 1, 2, … pending pieces become ready by the day; with an infinite day, ever. */
    public double[] more(double day) {
        List<Open> pending = open.stream().filter(Open::isPending).toList();
        List<Chances> chances = pending.stream().map(o -> new Chances(o, day)).toList();
        CountMixture mixture =
                new CountMixture(pending.stream().mapToInt(Open::pieces).toArray(), cells);
        double[] here = new double[pending.size()];
        for (int i = 0; i < nodes.size(); i++) {
            for (int g = 0; g < here.length; g++) {
                here[g] = chances.get(g).at(i);
            }
            mixture.add(nodes.weights[i], here);
        }
        return mixture.distribution();
    }

    /** p(F(d) − F(after))/D of a group at each node; F is reckoned once for each speed. */
    private final class Chances {

        private final Open group;
        private final double[] waits;
        private final double[] comes;

        Chances(Open group, double day) {
            this.group = group;
            waits = new double[nodes.aways.length];
            comes = new double[nodes.aways.length];
            for (int j = 0; j < waits.length; j++) {
                double before = time.by(group.interval().after(), nodes.aways[j]);
                double then = Double.isInfinite(day) ? 1 : Math.max(before, time.by(day, nodes.aways[j]));
                waits[j] = 1 - before;
                comes[j] = then - before;
            }
        }

        double at(int i) {
            double p = nodes.rates[i];
            int j = nodes.speeds[i];
            double d = p * waits[j] + (1 - p) * (1 - group.shown()[nodes.shown[i]]);
            return d <= 0 ? 0 : Math.min(1, p * comes[j] / d);
        }
    }

    /** The likelihood of what was seen, at any p, x and H. */
    private static final class Likelihood {

        private static final int SCAN_RATES = 6;
        private static final double REACH = 6;
        private static final double NEGLIGIBLE = 20;
        private static final double SMALLEST = 1e-300;
        /** Nodes up to which a rule of Gauss and Jacobi is made exact. */
        private static final int MOST_EXACT = 28;

        private static final int LEAST_ADAPTED = 24;

        private final BatchPrior prior;
        private final List<Open> mayYet;
        private final List<Map.Entry<Interval, Long>> ready;
        private final double aThen;
        private final double bThen;
        private final double constant;
        private final double logWhole;
        private final Map<Rule, RateNodes> rules = new HashMap<>();
        /** Logarithm, for each value of H, of what the lost and the given up say of it. */
        private final double[] ofShown;

        Likelihood(BatchPrior prior, Tallies tallies, List<Open> open) {
            this.prior = prior;
            this.mayYet = open.stream().filter(Open::mayYet).toList();
            ready = List.copyOf(tallies.with(Outcome.REACHED).entrySet());
            double a = prior.rate().a();
            double b = prior.rate().b();
            long lost = tallies.total(Outcome.LOST);
            aThen = a + tallies.total(Outcome.REACHED);
            bThen = b + lost + tallies.total(Outcome.GIVEN_UP);
            double[] atLast = prior.shown().values(Math.max(1, tallies.lastLook()));
            ofShown = new double[atLast.length];
            for (int h = 0; h < ofShown.length; h++) {
                ofShown[h] = lost == 0 ? 0 : lost * Math.log(Math.max(SMALLEST, atLast[h]));
                for (Open o : open) {
                    if (!o.mayYet()) {
                        ofShown[h] += o.pieces() * Math.log(Math.max(SMALLEST, 1 - o.shown()[h]));
                    }
                }
            }
            logWhole = Beta.logBeta(aThen, bThen);
            constant = -Beta.logBeta(a, b) - Math.log(ofShown.length);
        }

        /** The part of the x's, in standard deviations of the prior, that matters. */
        double[] range(int speeds, int points, int passes) {
            if (speeds == 1) {
                return new double[] {0, 0};
            }
            double low = -REACH;
            double high = REACH;
            // More than once, since a large batch's speed is known far more closely than was expected of it.
            for (int scan = 0; scan < passes; scan++) {
                double step = (high - low) / points;
                double[] logs = new double[points + 1];
                double best = Double.NEGATIVE_INFINITY;
                for (int j = 0; j <= points; j++) {
                    logs[j] = ofSpeed(low + j * step);
                    best = Math.max(best, logs[j]);
                }
                int first = 0;
                while (logs[first] < best - NEGLIGIBLE) {
                    first++;
                }
                int last = points;
                while (logs[last] < best - NEGLIGIBLE) {
                    last--;
                }
                double from = low;
                low = from + Math.max(0, first - 1) * step;
                high = from + Math.min(points, last + 1) * step;
                if (high - low > 0.6 * points * step) {
                    break;
                }
            }
            return new double[] {low, high};
        }

        private double ofSpeed(double z) {
            double away = z * prior.time().ofNextBatch();
            double[] waits = waits(away);
            Rates rule = rates(SCAN_RATES);
            double best = Double.NEGATIVE_INFINITY;
            double[][] logs = new double[ofShown.length][];
            for (int h = 0; h < ofShown.length; h++) {
                logs[h] = rule.logs(waits, h).clone();
                for (int i = 0; i < logs[h].length; i++) {
                    logs[h][i] += ofShown[h];
                    best = Math.max(best, logs[h][i]);
                }
            }
            double sum = 0;
            for (double[] row : logs) {
                for (double log : row) {
                    sum += Math.exp(log - best);
                }
            }
            return -z * z / 2 + ofReady(away) + best + Math.log(sum);
        }

        /** Nodes with their weights. */
        Nodes nodes(int rates, int speeds, double[] range, double dropped) {
            Rates rule = rates(rates);
            double deviation = prior.time().ofNextBatch();
            double step = speeds == 1 ? 0 : (range[1] - range[0]) / (speeds - 1);
            double logStep = speeds == 1 ? 0 : Math.log(step / Math.sqrt(2 * Math.PI));
            Nodes nodes = new Nodes(speeds, rule.size() * speeds * ofShown.length);
            for (int j = 0; j < speeds; j++) {
                double z = range[0] + j * step;
                nodes.aways[j] = z * deviation;
                double ofTime = constant - z * z / 2 + logStep + ofReady(nodes.aways[j]);
                double[] waits = waits(nodes.aways[j]);
                for (int h = 0; h < ofShown.length; h++) {
                    double[] logs = rule.logs(waits, h);
                    for (int i = 0; i < logs.length; i++) {
                        nodes.add(ofTime + ofShown[h] + logs[i], rule.rate(i), j, h);
                    }
                }
            }
            nodes.normalise(dropped);
            return nodes;
        }

        /** Rates to sum over at given x and H, and the logarithms of their weights with what the pending pieces say. */
        private interface Rates {
            int size();

            double[] logs(double[] waits, int h);

            /** A rate of those for which logarithms were asked last. */
            double rate(int i);
        }

        private Rates rates(int count) {
            if (mayYet.isEmpty()) {
                return jacobi(RATES);
            }
            int pieces = mayYet.stream().mapToInt(Open::pieces).sum();
            // What pending pieces say is a polynomial in p of their number: up to this many the rule is exact.
            return pieces < 2 * MOST_EXACT
                    ? jacobi(Math.min(MOST_EXACT, Math.max(count, pieces / 2 + 1)))
                    : adapted(count);
        }

        /** Gauss and Jacobi with the judged pieces in the weight of the rule. */
        private Rates jacobi(int count) {
            RateNodes rule = rules.computeIfAbsent(
                    new Rule(aThen, bThen, count), r -> RateNodes.gaussJacobi(aThen, bThen, count));
            double[] logRule = new double[count];
            for (int i = 0; i < count; i++) {
                logRule[i] = Math.log(Math.max(SMALLEST, rule.weight(i))) + logWhole;
            }
            double[] rates = new double[count];
            for (int i = 0; i < count; i++) {
                rates[i] = rule.rate(i);
            }
            double[] logs = new double[count];
            return new Rates() {
                @Override
                public int size() {
                    return count;
                }

                @Override
                public double[] logs(double[] waits, int h) {
                    ofOpen(rates, waits, h, logs);
                    for (int i = 0; i < count; i++) {
                        logs[i] += logRule[i];
                    }
                    return logs;
                }

                @Override
                public double rate(int i) {
                    return rates[i];
                }
            };
        }

        /** For many pending pieces: rates where, at given x and H, anything is left. */
        private Rates adapted(int count) {
            RateNodes.OnParts parts = new RateNodes.OnParts(aThen, bThen);
            int nodes = Math.max(LEAST_ADAPTED, count);
            double[] rates = new double[nodes];
            double[] logs = new double[nodes];
            return new Rates() {
                @Override
                public int size() {
                    return nodes;
                }

                @Override
                public double[] logs(double[] waits, int h) {
                    parts.fill(p -> logOpen(p, waits, h), rates, logs);
                    return logs;
                }

                @Override
                public double rate(int i) {
                    return rates[i];
                }
            };
        }

        private double logOpen(double p, double[] waits, int h) {
            double log = 0;
            for (int g = 0; g < waits.length; g++) {
                double hidden = 1 - mayYet.get(g).shown()[h];
                log += mayYet.get(g).pieces() * Math.log(Math.max(SMALLEST, hidden + p * (waits[g] - hidden)));
            }
            return log;
        }

        private double ofReady(double away) {
            double log = 0;
            for (Map.Entry<Interval, Long> e : ready) {
                double after = prior.time().by(e.getKey().after(), away);
                double by = prior.time().by(e.getKey().by(), away);
                double between = after < 0.5
                        ? by - after
                        : prior.time().notBy(e.getKey().after(), away)
                                - prior.time().notBy(e.getKey().by(), away);
                log += e.getValue() * Math.log(Math.max(SMALLEST, between));
            }
            return log;
        }

        /** 1 − F on the last day that each group was looked at. */
        private double[] waits(double away) {
            double[] waits = new double[mayYet.size()];
            for (int g = 0; g < waits.length; g++) {
                waits[g] = prior.time().notBy(mayYet.get(g).interval().after(), away);
            }
            return waits;
        }

        /** Σ ln D over pending and sent, at each rate. D is linear in p; so few pieces cannot run a product out of range. */
        private void ofOpen(double[] rates, double[] waits, int h, double[] logs) {
            for (int i = 0; i < rates.length; i++) {
                double product = 1;
                for (int g = 0; g < waits.length; g++) {
                    double hidden = 1 - mayYet.get(g).shown()[h];
                    product *= SpeedMessage.power(
                            hidden + rates[i] * (waits[g] - hidden),
                            mayYet.get(g).pieces());
                }
                logs[i] = Math.log(Math.max(SMALLEST, product));
            }
        }

        private record Rule(double a, double b, int count) {}
    }

    /** Nodes of p, x and H with their weights, which sum to one. */
    private static final class Nodes {

        private final double[] aways;
        private double[] weights;
        private double[] rates;
        private byte[] shown;
        private short[] speeds;
        private int count;
        private double logEvidence;

        Nodes(int speeds, int most) {
            aways = new double[speeds];
            weights = new double[most];
            rates = new double[most];
            shown = new byte[most];
            this.speeds = new short[most];
        }

        void add(double logWeight, double rate, int speed, int h) {
            weights[count] = logWeight;
            rates[count] = rate;
            speeds[count] = (short) speed;
            shown[count] = (byte) h;
            count++;
        }

        /** Turns logarithms into weights, and drops nodes that cannot be told from nothing. */
        void normalise(double dropped) {
            double best = Double.NEGATIVE_INFINITY;
            for (int i = 0; i < count; i++) {
                best = Math.max(best, weights[i]);
            }
            double all = 0;
            for (int i = 0; i < count; i++) {
                weights[i] = Math.exp(weights[i] - best);
                all += weights[i];
            }
            logEvidence = best + Math.log(all);
            int kept = 0;
            double keptWeight = 0;
            for (int i = 0; i < count; i++) {
                double w = weights[i] / all;
                if (w >= dropped) {
                    weights[kept] = w;
                    rates[kept] = rates[i];
                    speeds[kept] = speeds[i];
                    shown[kept] = shown[i];
                    keptWeight += w;
                    kept++;
                }
            }
            count = kept;
            weights = Arrays.copyOf(weights, kept);
            rates = Arrays.copyOf(rates, kept);
            speeds = Arrays.copyOf(speeds, kept);
            shown = Arrays.copyOf(shown, kept);
            for (int i = 0; i < kept; i++) {
                weights[i] /= keptWeight;
            }
        }

        int size() {
            return count;
        }

        double mean() {
            double sum = 0;
            for (int i = 0; i < count; i++) {
                sum += weights[i] * rates[i];
            }
            return sum;
        }

        double variance() {
            double mean = mean();
            double sum = 0;
            for (int i = 0; i < count; i++) {
                sum += weights[i] * (rates[i] - mean) * (rates[i] - mean);
            }
            return sum;
        }
    }
}
