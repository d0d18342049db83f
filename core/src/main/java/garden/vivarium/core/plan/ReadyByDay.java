package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.Map;

/**
 * How many pieces had become ready by a day, told afterwards. Roots date it, not the day somebody looked: a piece found ready in
 * (after, by] was so by a day d between with (F(d) − F(after))/(F(by) − F(after)). Pieces that nobody has looked at since are
 * unknown, not failed.
 *
 * @param ready the chances of 0, 1, 2, … ready by the day, of those of which it is known
 * @param unknown pieces of which it is not known whether they were ready by then
 */
public record ReadyByDay(Supply ready, int unknown) {

    /**
     * Tells it from a batch's looks.
     *
     * @param tallies of ready
     * @param time of the way, with its season
     * @param day days since the day stuck
     */
    public static ReadyByDay of(Tallies tallies, RootingTime time, double day) {
        int certain = 0;
        Supply between = Supply.none();
        int unknown = 0;
        for (Map.Entry<Interval, Long> e : tallies.counts().entrySet()) {
            Interval i = e.getKey();
            int pieces = e.getValue().intValue();
            if (i.outcome() == Outcome.REACHED) {
                if (i.by() <= day) {
                    certain += pieces;
                } else if (i.after() < day) {
                    double part =
                            (time.by(day, 0) - time.by(i.after(), 0)) / (time.by(i.by(), 0) - time.by(i.after(), 0));
                    // Where the time model says nothing of the interval, every day of it is as likely.
                    double chance = Double.isFinite(part) ? part : (day - i.after()) / (i.by() - i.after());
                    between = between.and(Supply.binomial(pieces, Math.max(0, Math.min(1, chance))));
                }
            } else if (i.outcome() == Outcome.PENDING && i.after() < day) {
                unknown += pieces;
            }
        }
        return new ReadyByDay(Supply.exactly(certain).and(between), unknown);
    }

    /** The same in young plants, so many of which come of a ready piece in the end. */
    public ReadyByDay times(double each) {
        return new ReadyByDay(ready.times(each), (int) Math.ceil(unknown * each));
    }

    /** This and another batch's, of one aim. */
    public ReadyByDay and(ReadyByDay other) {
        return new ReadyByDay(ready.and(other.ready), unknown + other.unknown);
    }

    /**
     * Whether it can be told if so many were ready: those of which it is known decide it, whatever became of the others.
     */
    public boolean isKnown(int wanted) {
        return unknown == 0 || ready.atLeast(wanted) > 1 - 1e-9 || ready.most() + unknown < wanted;
    }

    /** The chance that so many or more were ready by the day. */
    public double atLeast(int wanted) {
        return ready.atLeast(wanted);
    }
}
