/** Was it right: what was planned, expected and guessed, beside what came. */
@ApplicationModule(allowedDependencies = {"plan", "bench", "batch", "platform"})
package garden.vivarium.app.outcome;

import org.springframework.modulith.ApplicationModule;
