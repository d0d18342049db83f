/**
 * Promises: plants owed to somebody or some occasion, the batches and plans that each draws on, and the chance of being met.
 * Publishes {@link garden.vivarium.app.promise.Promises} and {@link garden.vivarium.app.promise.PromiseBook}. Uses {@code plan},
 * {@code batch}, {@code stock}, {@code guide} and {@code platform}.
 */
package garden.vivarium.app.promise;
