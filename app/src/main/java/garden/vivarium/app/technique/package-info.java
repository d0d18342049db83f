/** Which way works better, and how sure. */
@ApplicationModule(allowedDependencies = {"evidence"})
package garden.vivarium.app.technique;

import org.springframework.modulith.ApplicationModule;
