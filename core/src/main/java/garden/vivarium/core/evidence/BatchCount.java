package garden.vivarium.core.evidence;

/**
 * What one batch says of a rate: {@code kept} of {@code of} pieces. Counts may be fractions, as running batches count
 * as the finished ones that would tell the same.
 *
 * @param kept pieces that made it, 0 to {@code of}
 * @param of pieces judged, above 0
 */
public record BatchCount(double kept, double of) {

    public BatchCount {
        if (!(of > 0) || !(kept >= 0) || kept > of) {
            throw new IllegalArgumentException(
                    "a batch keeps between 0 and all of its pieces, not %s of %s".formatted(kept, of));
        }
    }

    /**
     * The same batch as evidence of the nursery's hand where the guide says another rate: of another kind, way or season. Where less is to be
     * expected, k·a/b of n; where more, the failures shrink instead, n − (n − k)(1 − a)/(1 − b) of n.
     *
     * @param asked a, what the guide says of the batch that is asked for, 0 to 1, both excluded
     * @param own b, what it says of this one, likewise
     */
    public BatchCount speakingFor(double asked, double own) {
        if (asked == own) {
            return this;
        }
        double then = asked < own ? kept * asked / own : of - (of - kept) * (1 - asked) / (1 - own);
        return new BatchCount(Math.max(0, Math.min(of, then)), of);
    }

    /** The number of independent pieces that this batch is worth: n ÷ (1 + (n−1)ρ), and n itself below one piece. */
    public double effectivePieces(double rho) {
        return of <= 1 ? of : of / (1 + (of - 1) * rho);
    }
}
