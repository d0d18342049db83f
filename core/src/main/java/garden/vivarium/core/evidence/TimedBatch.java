package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;

/**
 * What one batch says of a time.
 *
 * @param tallies its intervals for the milestone
 * @param lastLook c, the day of the last look that could have known, or the batch's age today if nothing is pending
 * @param weight what each of its pieces counts, n_eff ÷ n, above 0 and at most 1
 */
public record TimedBatch(Tallies tallies, int lastLook, double weight) {

    /**
     * Takes a batch's last look from its tallies.
     *
     * @param ageToday days since the day stuck
     */
    public static TimedBatch of(Tallies tallies, int ageToday, double rho) {
        long n = tallies.total();
        int c = tallies.total(Outcome.PENDING) == 0
                ? Math.max(ageToday, tallies.lastDay())
                : tallies.counts().keySet().stream()
                        .filter(i -> i.outcome() == Outcome.PENDING)
                        .mapToInt(i -> i.after())
                        .max()
                        .orElse(0);
        return new TimedBatch(tallies, c, new BatchCount(0, n).effectivePieces(rho) / n);
    }
}
