package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Tallies;
import java.util.List;

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
    private final List<OpenPieces> open;
    private final RunningNodes nodes;
    private final int cells;
    /** The chance that a pending piece is ever ready: asked for on every page, so kept; not a number until then. */
    private volatile double everReady = Double.NaN;

    private RunningBatch(RootingTime time, List<OpenPieces> open, RunningNodes nodes, int cells) {
        this.time = time;
        this.open = open;
        this.nodes = nodes;
        this.cells = cells;
    }

    /**
     * Weighs what was expected by what was seen.
     *
     * @param prior what was expected before it began, from finished batches alone
     * @param tallies of ready, or of another milestone of which the prior speaks
     */
    public static RunningBatch of(BatchPrior prior, Tallies tallies) {
        List<OpenPieces> open = OpenPieces.of(prior, tallies);
        RunningLikelihood likelihood = new RunningLikelihood(prior, tallies, open);
        int speeds = prior.time().ofNextBatch() == 0 ? 1 : SPEEDS;
        double[] range = likelihood.range(speeds, SCAN, 2);
        RunningBatch batch = new RunningBatch(
                prior.time(), open, likelihood.nodes(RATES, speeds, range, DROPPED), CountMixture.FINE);
        for (int rates = 2 * RATES; rates <= MOST_RATES; rates *= 2) {
            speeds = speeds == 1 ? 1 : 2 * speeds;
            RunningBatch finer = new RunningBatch(
                    prior.time(), open, likelihood.nodes(rates, speeds, range, DROPPED), CountMixture.FINE);
            boolean stands = finer.figures().isNear(batch.figures());
            batch = finer;
            if (stands) {
                break;
            }
        }
        return batch;
    }

    /**
     * The logarithm of Z alone, {@link #logEvidence()} of {@link #of}: for comparing what was seen under one thing expected and under
     * another. Nodes are doubled until it stands to a thousandth.
     */
    public static double logEvidence(BatchPrior prior, Tallies tallies) {
        RunningLikelihood likelihood = new RunningLikelihood(prior, tallies, OpenPieces.of(prior, tallies));
        int speeds = prior.time().ofNextBatch() == 0 ? 1 : SPEEDS;
        double[] range = likelihood.range(speeds, SCAN, 2);
        double log = likelihood.nodes(RATES, speeds, range, DROPPED).logEvidence;
        for (int rates = 2 * RATES; rates <= MOST_RATES; rates *= 2) {
            speeds = speeds == 1 ? 1 : 2 * speeds;
            double coarser = log;
            log = likelihood.nodes(rates, speeds, range, DROPPED).logEvidence;
            if (Math.abs(log - coarser) < STILL) {
                break;
            }
        }
        return log;
    }

    /** A batch weighed with few nodes: to three figures, where it is averaged over many values of what its way shares. */
    public static RunningBatch roughly(BatchPrior prior, Tallies tallies) {
        List<OpenPieces> open = OpenPieces.of(prior, tallies);
        RunningLikelihood likelihood = new RunningLikelihood(prior, tallies, open);
        int speeds = prior.time().ofNextBatch() == 0 ? 1 : ROUGH_SPEEDS;
        return new RunningBatch(
                prior.time(),
                open,
                likelihood.nodes(ROUGH_RATES, speeds, likelihood.range(speeds, ROUGH_SCAN, 1), ROUGHLY_DROPPED),
                CountMixture.ROUGH);
    }

    private Figures figures() {
        return new Figures(nodes.mean(), nodes.variance(), everReady(), logEvidence());
    }

    /** What is read of a batch, by which two sums over it are compared. */
    record Figures(double mean, double variance, double everReady, double logEvidence) {

        /** Whether the coarser sum said the same but for what nobody would notice. */
        boolean isNear(Figures coarser) {
            double deviation = Math.sqrt(Math.max(LEAST_VARIANCE, variance));
            return Math.abs(mean - coarser.mean) < Math.min(STILL, STILL_SPREAD * deviation)
                    && Math.abs(variance - coarser.variance) < 2 * STILL_SPREAD * deviation * deviation
                    && Math.abs(everReady - coarser.everReady) < STILL
                    && Math.abs(logEvidence - coarser.logEvidence) < STILL;
        }
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
     * and variance of its rate and S = m(1−m)/v − 1. Where either k* or n* − k* would be below 0 it is 0, and the other such that
     * the mean stays m.
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
        if (kept == 0) {
            failed = Math.max(0, prior.a() / m - prior.a() - prior.b());
        } else if (failed == 0) {
            kept = Math.max(0, prior.b() / (1 - m) - prior.a() - prior.b());
        }
        double most = kept + failed > pieces ? pieces / (kept + failed) : 1;
        return new double[] {kept * most, (kept + failed) * most};
    }

    /** The chance that a pending piece, taken at random, is ever ready; 0 where none is pending. */
    public double everReady() {
        // Two threads that reckon it at once find the same.
        double ever = everReady;
        if (Double.isNaN(ever)) {
            ever = averaged(Double.POSITIVE_INFINITY);
            everReady = ever;
        }
        return ever;
    }

    /** The chance that a pending piece, taken at random, has become ready by the day; 0 where none is pending. */
    public double readyBy(double day) {
        return averaged(day);
    }

    private double averaged(double day) {
        double sum = 0;
        int pieces = 0;
        for (OpenPieces o : open) {
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
                .filter(OpenPieces::isPending)
                .map(o -> new Waiting(o.interval().after(), o.pieces(), chance(o, Double.POSITIVE_INFINITY)))
                .toList();
    }

    private double chance(OpenPieces group, double day) {
        Chances chances = new Chances(group, day);
        double sum = 0;
        for (int i = 0; i < nodes.size(); i++) {
            sum += nodes.weights[i] * chances.at(i);
        }
        return sum;
    }

    /** The chances that 0, 1, 2, … pending pieces become ready by the day; with an infinite day, ever. */
    public double[] more(double day) {
        List<OpenPieces> pending = open.stream().filter(OpenPieces::isPending).toList();
        List<Chances> chances = pending.stream().map(o -> new Chances(o, day)).toList();
        CountMixture mixture =
                new CountMixture(pending.stream().mapToInt(OpenPieces::pieces).toArray(), cells);
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

        private final OpenPieces group;
        private final double[] waits;
        private final double[] comes;

        Chances(OpenPieces group, double day) {
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
}
