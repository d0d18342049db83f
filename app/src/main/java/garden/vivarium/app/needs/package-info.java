/**
 * What plans need: room by day, materials, and what is to be bought. Publishes {@link garden.vivarium.app.needs.Stores}, and
 * answers for {@link garden.vivarium.app.plan.Room} and {@link garden.vivarium.app.plan.Costs}.
 */
@ApplicationModule(allowedDependencies = {"plan", "bench", "batch", "stock", "people", "platform"})
package garden.vivarium.app.needs;

import org.springframework.modulith.ApplicationModule;
