/** More wanted than the stock can give at once: generations of stock plants, flush by flush. */
@ApplicationModule(allowedDependencies = {"plan", "evidence", "guide", "stock", "platform"})
package garden.vivarium.app.buildup;

import org.springframework.modulith.ApplicationModule;
