package garden.vivarium.app.batch;

/**
 * Pieces that were said to be stuck lie drying still: what was learned of the batch is let go of, in the same transaction.
 *
 * @param batch as it stood
 */
public record BatchUnstuck(BatchView batch) {}
