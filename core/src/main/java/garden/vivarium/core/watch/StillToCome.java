package garden.vivarium.core.watch;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RateNodes;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.Supply;

/**
 * How many of a running batch's pending pieces will be ready by a day. With k ready, l lost and r pending at the last look c,
 * the batch's rate p and speed u weigh Beta(a, b)·N(u; 0, τ²)·[p·F(c)]ᵏ·[(1−p)·H]ˡ·Dʳ with D = p(1−F(c)) + (1−p)(1−H);
 * each pending piece succeeds by day d with p(F(d)−F(c))/D. Section 6 of the design's science page, which leaves F(c) out of
 * the k ready: with batches of one speed it is a constant, with unequal speeds it tells a fast batch from a slow one.
 *
 * @param ready k, pieces that became ready, 0 and up
 * @param lost l, pieces lost before, 0 and up
 * @param pending r, the rest, 0 and up
 * @param lastLook c, days from day 0 to the last look that could tell, 0 if none
 */
public record StillToCome(int ready, int lost, int pending, int lastLook) {

    private static final int RATES = 96;
    private static final int SPEEDS_EACH_SIDE = 20;
    private static final double REACH = 5;

    public StillToCome {
        if (ready < 0 || lost < 0 || pending < 0 || lastLook < 0) {
            throw new IllegalArgumentException(
                    "counts and days are 0 or more, not %d ready, %d lost, %d pending on day %d"
                            .formatted(ready, lost, pending, lastLook));
        }
    }

    /**
     * Pieces that become ready after the last look and by a day, where failures show themselves at the pace at which others
     * become ready (H = F(c)).
     *
     * @param rate the batch's rate as expected before it began
     * @param time days to ready, as expected before it began
     * @param day d, days since day 0
     */
    public Supply readyBy(NextBatch rate, RootingTime time, double day) {
        return readyBy(rate, time, day, -1);
    }

    /** The same where the share H of failures that have shown themselves by the last look is known, 0 to 1. */
    Supply readyBy(NextBatch rate, RootingTime time, double day, double failuresShown) {
        if (pending == 0 || day <= lastLook) {
            return Supply.none();
        }
        RateNodes rates = RateNodes.of(rate.a(), rate.b(), RATES);
        int side = time.tau() == 0 ? 0 : SPEEDS_EACH_SIDE;
        int speeds = 2 * side + 1;
        double[] shares = new double[speeds * rates.size()];
        double[] logs = new double[shares.length];
        double best = Double.NEGATIVE_INFINITY;
        for (int j = 0; j < speeds; j++) {
            double away = side == 0 ? 0 : REACH * (j - side) / side;
            double now = time.tau() == 0 ? time.by(lastLook) : time.by(lastLook, away * time.tau());
            double then = time.tau() == 0 ? time.by(day) : time.by(day, away * time.tau());
            double shown = failuresShown < 0 ? now : failuresShown;
            for (int i = 0; i < rates.size(); i++) {
                double p = rates.rate(i);
                double waiting = p * (1 - now) + (1 - p) * (1 - shown);
                int at = j * rates.size() + i;
                shares[at] = waiting <= 0 ? 0 : Math.min(1, p * (then - now) / waiting);
                logs[at] = Math.log(rates.weight(i))
                        - away * away / 2
                        + times(ready, Math.log(p * now))
                        + times(lost, Math.log((1 - p) * shown))
                        + times(pending, Math.log(waiting));
                best = Math.max(best, logs[at]);
            }
        }
        if (best == Double.NEGATIVE_INFINITY) {
            // What was seen is beyond what was thought possible; then the prior alone speaks.
            return Supply.ofChances(ReadyChance.after(rate, time, day).distribution(pending));
        }
        double sum = 0;
        for (int at = 0; at < logs.length; at++) {
            logs[at] = Math.exp(logs[at] - best);
            sum += logs[at];
        }
        for (int at = 0; at < logs.length; at++) {
            logs[at] /= sum;
        }
        return Supply.ofChances(ReadyChance.ofShares(shares, logs, rates.size()).distribution(pending));
    }

    private static double times(int count, double log) {
        return count == 0 ? 0 : count * log;
    }
}
