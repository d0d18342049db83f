/** The sums at the bench: mixes, dilutions, feeds, air and nights; each with its steps, and kept with a batch if wished. */
@ApplicationModule(allowedDependencies = {"batch", "care", "needs", "people", "platform"})
package garden.vivarium.app.sums;

import org.springframework.modulith.ApplicationModule;
