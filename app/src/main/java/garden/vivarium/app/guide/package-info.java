/**
 * The guide as a nursery has it: the shipped protocols, its own, and every version that batches were stuck under. Publishes
 * {@link garden.vivarium.app.guide.Protocols} and {@link garden.vivarium.app.guide.GuideLookup}.
 */
@ApplicationModule(allowedDependencies = {"platform"})
package garden.vivarium.app.guide;

import org.springframework.modulith.ApplicationModule;
