/** What stands already is written down as it is now, with no plan before it. */
@ApplicationModule(allowedDependencies = {"demo", "batch", "guide", "stock", "people", "platform"})
package garden.vivarium.app.entry;

import org.springframework.modulith.ApplicationModule;
