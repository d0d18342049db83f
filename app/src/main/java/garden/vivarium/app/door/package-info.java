/** The door: signing in, second factors, browsers and sessions, links for a new password, and the book of who came and what changed. */
@ApplicationModule(allowedDependencies = {"people", "platform"})
package garden.vivarium.app.door;

import org.springframework.modulith.ApplicationModule;
