package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.SeasonFactors;

/**
 * A batch as evidence.
 *
 * @param way how it was done
 * @param season how its season bore on it
 * @param taken pieces cut, of which those stuck came through the callus; 0 where it had no callus stage
 * @param stuck pieces stuck
 * @param moved what became of its young plants
 * @param firstSign tallies of first sign
 * @param ready tallies of ready
 * @param counts as what share of itself it counts beside others that it shares a week, a place, a stock plant or a person with,
 *     above 0 to 1
 */
public record WayBatch(
        Way way,
        SeasonFactors season,
        int taken,
        int stuck,
        Moved moved,
        Tallies firstSign,
        Tallies ready,
        double counts) {

    /** A batch that shares nothing with others. */
    public WayBatch(
            Way way, SeasonFactors season, int taken, int stuck, Moved moved, Tallies firstSign, Tallies ready) {
        this(way, season, taken, stuck, moved, firstSign, ready, 1);
    }

    /**
     * Young plants of which it was asked whether they settled.
     *
     * @param settled those that did, 0 and up
     * @param of how many, {@code settled} and up
     */
    public record Moved(int settled, int of) {

        /** Nobody asked yet. */
        public static final Moved NONE = new Moved(0, 0);
    }

    /** A batch in season, without a callus stage, of which nothing was moved. */
    public static WayBatch of(Way way, Tallies firstSign, Tallies ready) {
        return new WayBatch(way, SeasonFactors.IN_SEASON, 0, (int) ready.total(), Moved.NONE, firstSign, ready);
    }

    /** The same batch in another season. */
    public WayBatch in(SeasonFactors other) {
        return new WayBatch(way, other, taken, stuck, moved, firstSign, ready, counts);
    }

    /** The same, counting as a share of itself. */
    public WayBatch counting(double share) {
        return new WayBatch(way, season, taken, stuck, moved, firstSign, ready, share);
    }

    /** Pieces that became ready. */
    public int kept() {
        return (int) ready.total(Outcome.REACHED);
    }

    /** Pieces that left unjudged: censored, never counted as failures. */
    public int sent() {
        return (int) ready.total(Outcome.SENT);
    }

    /** Pieces that are, or one day will be, judged. */
    public int judgeable() {
        return stuck - sent();
    }

    /** Pieces that may yet become ready. */
    public int running() {
        return (int) ready.total(Outcome.PENDING);
    }

    public boolean isFinished() {
        return running() == 0 && judgeable() > 0;
    }

    /** The last day on which a look could have known of ready. */
    public int lastKnowingLook() {
        return ready.lastDay();
    }

    /** Whether anybody looked for first signs, rather than for ready alone. */
    boolean isFirstSignLookedFor() {
        return firstSign.total(Outcome.REACHED) > ready.total(Outcome.REACHED)
                || firstSign.counts().keySet().stream().anyMatch(i -> i.outcome() != Outcome.LOST && i.after() > 0);
    }
}
