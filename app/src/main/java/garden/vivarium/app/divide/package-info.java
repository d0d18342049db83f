/** The division planner: a plant drawn as it lies, every set of cuts judged, and the pieces made into a batch. */
@ApplicationModule(allowedDependencies = {"batch", "evidence", "guide", "label", "photo", "stock", "platform"})
package garden.vivarium.app.divide;

import org.springframework.modulith.ApplicationModule;
