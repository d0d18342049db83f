/**
 * Young plants after the move: looks, measures, what they have come to, and how many settle by where their roots grew. Publishes {@link
 * garden.vivarium.app.young.YoungLooks}.
 */
@ApplicationModule(allowedDependencies = {"evidence", "batch", "guide", "stock", "platform"})
package garden.vivarium.app.young;

import org.springframework.modulith.ApplicationModule;
