package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.List;

/**
 * Pieces without an end: pending, sent or given up.
 *
 * @param interval theirs
 * @param pieces how many
 * @param shown values of H on the day each was last seen alive
 */
record OpenPieces(Interval interval, int pieces, double[] shown) {

    boolean isPending() {
        return interval.outcome() == Outcome.PENDING;
    }

    boolean mayYet() {
        return interval.outcome() != Outcome.GIVEN_UP;
    }

    /** Those of a batch, each with the values of H on the day it was last seen alive. */
    static List<OpenPieces> of(BatchPrior prior, Tallies tallies) {
        List<OpenPieces> open = new ArrayList<>();
        tallies.counts().forEach((i, n) -> {
            if (i.outcome().isOpen()) {
                open.add(new OpenPieces(i, n.intValue(), prior.shown().values(i.alive())));
            }
        });
        return open;
    }
}
