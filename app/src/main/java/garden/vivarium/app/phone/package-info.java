/** The phone at the bench: how it gets to trust this installation, and where it finds it. */
@ApplicationModule(allowedDependencies = {"platform"})
package garden.vivarium.app.phone;

import org.springframework.modulith.ApplicationModule;
