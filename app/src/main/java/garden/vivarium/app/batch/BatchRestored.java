package garden.vivarium.app.batch;

/**
 * A batch that was withdrawn was after all. What it tells is told anew by itself.
 *
 * @param batch as it stands
 */
public record BatchRestored(BatchView batch) {}
