/** Labels: what stands on them, drawn for sheets, single pictures and a label printer. */
@ApplicationModule(allowedDependencies = {"batch", "people", "stock", "platform"})
package garden.vivarium.app.label;

import org.springframework.modulith.ApplicationModule;
