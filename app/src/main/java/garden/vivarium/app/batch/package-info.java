/**
 * What happens to pieces, and is written down: sticking, looking, moving on, taking back. Publishes what is done ({@link
 * garden.vivarium.app.batch.Batches}, {@link garden.vivarium.app.batch.Moves}), what is read ({@link garden.vivarium.app.batch.BatchBook}, {@link
 * garden.vivarium.app.batch.BatchChanges}) and, in the same transaction,
 * what that tells ({@link garden.vivarium.app.batch.BatchJudged}).
 */
@ApplicationModule(allowedDependencies = {"guide", "stock", "people", "platform"})
package garden.vivarium.app.batch;

import org.springframework.modulith.ApplicationModule;
