/** What every subject stands on: tenancy, security, errors, layout and the words in which days and numbers are said. */
@ApplicationModule(allowedDependencies = {})
package garden.vivarium.app.platform;

import org.springframework.modulith.ApplicationModule;
