package garden.vivarium.core.evidence;

/**
 * What one batch says of a rate: {@code kept} of {@code of} pieces. Counts may be fractions, as running batches count
 * only as far as they can be judged.
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
     * A running batch, judged as far as its age allows: {@code ready} pieces count whole, each of the others as the share
     * F(c) of ready times that lie before its last look. This gives the rate the likelihood of section 4, πᵏ(1 − πF(c)), to
     * first order in π.
     *
     * @param ready pieces ready so far
     * @param others pieces pending or lost so far
     * @param judgedShare F(c), above 0 and at most 1
     */
    public static BatchCount running(double ready, double others, double judgedShare) {
        return new BatchCount(ready, ready + others * judgedShare);
    }

    /** The number of independent pieces that this batch is worth: n ÷ (1 + (n−1)ρ), and n itself below one piece. */
    public double effectivePieces(double rho) {
        return of <= 1 ? of : of / (1 + (of - 1) * rho);
    }
}
