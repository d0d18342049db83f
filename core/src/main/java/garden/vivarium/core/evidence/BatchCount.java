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
     * The same batch as evidence on another season: with Q the factor of the season asked about over the batch's own,
     * min(1, Q)·k of max(that, n·min(1, 1/Q)). A piece that struck in a poor season would have in a good one too; one that
     * failed there tells only so much of the good one.
     *
     * @param ratio Q, above 0
     */
    public BatchCount inSeason(double ratio) {
        if (ratio == 1) {
            return this;
        }
        double thenKept = Math.min(1, ratio) * kept;
        return new BatchCount(thenKept, Math.max(thenKept, of * Math.min(1, 1 / ratio)));
    }

    /** The number of independent pieces that this batch is worth: n ÷ (1 + (n−1)ρ), and n itself below one piece. */
    public double effectivePieces(double rho) {
        return of <= 1 ? of : of / (1 + (of - 1) * rho);
    }
}
