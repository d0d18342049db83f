/**
 * Batches: sticking, looking, moving on, the batch sheet and bench mode, and the evidence that all batches are. Publishes
 * {@link garden.vivarium.app.batch.Batches} and {@link garden.vivarium.app.batch.Evidence}. Uses {@code stock}, {@code
 * people} and {@code platform}.
 */
package garden.vivarium.app.batch;
