/** The round and the plans as a calendar: a download, and private addresses that can be withdrawn. */
@ApplicationModule(allowedDependencies = {"promise", "plan", "bench", "batch", "care", "stock", "platform"})
package garden.vivarium.app.calendar;

import org.springframework.modulith.ApplicationModule;
