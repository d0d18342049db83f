/** Which way works better, and how sure. */
@ApplicationModule(allowedDependencies = {"evidence", "platform"})
package garden.vivarium.app.technique;

import org.springframework.modulith.ApplicationModule;
