package garden.vivarium.app.batch;

/**
 * A batch never was: whoever keeps something of it lets go of it, in the same transaction.
 *
 * @param batch as it stood
 */
public record BatchWithdrawn(BatchView batch) {}
