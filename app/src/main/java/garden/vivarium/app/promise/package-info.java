/**
 * Plants owed to somebody or some occasion, the batches and plans that each promise draws on, and the chance of being met.
 * Publishes {@link garden.vivarium.app.promise.Promises} and {@link garden.vivarium.app.promise.PromiseBook}.
 */
@ApplicationModule(allowedDependencies = {"plan", "bench", "batch", "stock", "platform"})
package garden.vivarium.app.promise;

import org.springframework.modulith.ApplicationModule;
