/** Everything of a nursery out as one file and in again, copies kept by age, and leaving: a nursery erased. */
@ApplicationModule(allowedDependencies = {"people", "platform"})
package garden.vivarium.app.copies;

import org.springframework.modulith.ApplicationModule;
