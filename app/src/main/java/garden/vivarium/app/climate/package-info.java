/**
 * Warmth, air and light of places: readings sent by loggers, typed or from files, by hour and day; what is wrong, and nights. Publishes
 * {@link garden.vivarium.app.climate.AirAlarms}, {@link garden.vivarium.app.climate.AirRecord}, {@link
 * garden.vivarium.app.climate.Readings} and the stand-ins of {@link
 * garden.vivarium.app.climate.SimulatedLoggers}.
 */
@ApplicationModule(allowedDependencies = {"batch", "guide", "stock", "platform"})
package garden.vivarium.app.climate;

import org.springframework.modulith.ApplicationModule;
