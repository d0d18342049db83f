/**
 * What can be cut, and from what: plants, stock plants and the places where things stand. Publishes {@link
 * garden.vivarium.app.stock.Stock}.
 */
@ApplicationModule(allowedDependencies = {"platform"})
package garden.vivarium.app.stock;

import org.springframework.modulith.ApplicationModule;
