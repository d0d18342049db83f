/**
 * Care: what was done for a batch or a stock plant, what is due, and whether it worked. Publishes {@link
 * garden.vivarium.app.care.CareBook}.
 */
@ApplicationModule(allowedDependencies = {"platform"})
package garden.vivarium.app.care;

import org.springframework.modulith.ApplicationModule;
