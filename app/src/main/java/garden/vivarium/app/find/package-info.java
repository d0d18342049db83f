/** One search over label codes, plants, stock plants and places. */
@ApplicationModule(allowedDependencies = {"batch", "stock", "platform"})
package garden.vivarium.app.find;

import org.springframework.modulith.ApplicationModule;
