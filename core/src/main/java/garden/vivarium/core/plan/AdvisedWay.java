package garden.vivarium.core.plan;

import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.OfferedWay;

/**
 * One way in answer to an aim, as far as advice goes.
 *
 * @param offered what the guide says of it
 * @param plan what it asks and promises
 * @param own how many finished and running batches of this plant, or of others of its kind, were done by it here
 * @param guideRate what the guide expects of it in season, 0 to 1, both excluded
 * @param minutes of work for the number to take
 */
public record AdvisedWay(OfferedWay offered, WayPlan plan, int own, double guideRate, int minutes) {

    /** A record this far below what the guide expects is a bad one. */
    private static final double BAD = 0.6;

    /** Whether this nursery has a record of it that does not speak against it. */
    public boolean isProven() {
        return own > 0 && !isPoor();
    }

    /** Whether this nursery's record speaks against it. */
    public boolean isPoor() {
        return own > 0 && rate().mean() < BAD * guideRate * inSeason();
    }

    private double inSeason() {
        return plan.isInSeason() ? 1 : plan.outlook().season().poorer();
    }

    private StrikeRate rate() {
        return plan.season().strike();
    }

    /** The chance of the aim with all that the plant bears, to a hundredth, by which ways are told apart. */
    double sureness() {
        return Math.round(100 * plan.chance(plan.piecesAtMost())) / 100.0;
    }

    int pieces() {
        return plan.inTurn().map(InTurn::pieces).orElse(Integer.MAX_VALUE);
    }
}
