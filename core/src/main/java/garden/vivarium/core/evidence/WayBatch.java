package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;

/**
 * A batch as evidence.
 *
 * @param way how it was done
 * @param stuck pieces stuck
 * @param sent pieces that left unjudged: censored, never counted as failures
 * @param age days since the day stuck, today
 * @param firstSign tallies of first sign
 * @param ready tallies of ready
 */
public record WayBatch(Way way, int stuck, int sent, int age, Tallies firstSign, Tallies ready) {

    /** Pieces that became ready. */
    public int kept() {
        return (int) ready.total(Outcome.REACHED);
    }

    /** Pieces that are, or one day will be, judged. */
    public int judgeable() {
        return stuck - sent;
    }

    /** Pieces that may yet become ready. */
    public int running() {
        return (int) ready.total(Outcome.PENDING) - sent;
    }

    public boolean isFinished() {
        return running() == 0 && judgeable() > 0;
    }

    /** The last day on which a look could have known of ready. */
    public int lastKnowingLook() {
        return ready.lastDay();
    }
}
