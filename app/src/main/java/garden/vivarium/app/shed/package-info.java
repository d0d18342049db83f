/** The guide to read and to change a copy of: protocols, the bench book, schools with this nursery’s own evidence. */
@ApplicationModule(allowedDependencies = {"batch", "evidence", "guide", "people", "platform"})
package garden.vivarium.app.shed;

import org.springframework.modulith.ApplicationModule;
