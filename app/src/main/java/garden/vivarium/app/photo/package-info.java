/** Photographs of batches and stock plants: taken in as pictures alone, kept small, shown over time. */
@ApplicationModule(allowedDependencies = {"batch", "stock", "platform"})
package garden.vivarium.app.photo;

import org.springframework.modulith.ApplicationModule;
