/** One plant that must not be lost: what to cut from it, and how to spread the pieces over ways. */
@ApplicationModule(allowedDependencies = {"plan", "guide", "stock", "platform"})
package garden.vivarium.app.rescue;

import org.springframework.modulith.ApplicationModule;
