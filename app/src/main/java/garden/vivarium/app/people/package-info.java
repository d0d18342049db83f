/** Who works here: nurseries, people, the first start and signing in. */
@ApplicationModule(allowedDependencies = {"platform"})
package garden.vivarium.app.people;

import org.springframework.modulith.ApplicationModule;
