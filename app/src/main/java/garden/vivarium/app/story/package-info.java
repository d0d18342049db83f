/** A stock plant’s story: its sheet, what it gave beside its sisters, its family, and how young plants become stock plants. */
@ApplicationModule(allowedDependencies = {"evidence", "batch", "care", "guide", "photo", "stock", "platform"})
package garden.vivarium.app.story;

import org.springframework.modulith.ApplicationModule;
