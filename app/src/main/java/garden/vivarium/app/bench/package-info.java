/**
 * Where everything stands and how it is doing: what pages read of batches, bench mode, and what batches need. Publishes {@link
 * garden.vivarium.app.bench.Benches}, {@link garden.vivarium.app.bench.Sheets} and {@link garden.vivarium.app.bench.ToCome}.
 */
@ApplicationModule(allowedDependencies = {"evidence", "batch", "care", "guide", "photo", "stock", "platform"})
package garden.vivarium.app.bench;

import org.springframework.modulith.ApplicationModule;
