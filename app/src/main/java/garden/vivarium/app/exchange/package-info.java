/** Open formats in: a nursery’s own past from files. */
@ApplicationModule(allowedDependencies = {"batch", "stock", "platform"})
package garden.vivarium.app.exchange;

import org.springframework.modulith.ApplicationModule;
