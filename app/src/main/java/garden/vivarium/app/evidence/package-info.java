/**
 * What is learned of ways: tallies of all batches in tables of its own, told by {@code batch} in the transaction that changes
 * them, and the record that follows from them. Publishes {@link garden.vivarium.app.evidence.Evidence} and {@link
 * garden.vivarium.app.evidence.Running}.
 */
@ApplicationModule(allowedDependencies = {"batch", "guide", "platform"})
package garden.vivarium.app.evidence;

import org.springframework.modulith.ApplicationModule;
