/** What is wrong with it: from what is seen to likely causes, what to check and what to do. */
@ApplicationModule(allowedDependencies = {"bench", "batch", "care", "stock", "platform"})
package garden.vivarium.app.diagnosis;

import org.springframework.modulith.ApplicationModule;
