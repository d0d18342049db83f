package garden.vivarium.app.climate;

import garden.vivarium.core.watch.AirWatch;
import garden.vivarium.core.watch.LightWatch;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/**
 * An hour of a place.
 *
 * @param humidity mean per cent, or null
 * @param light mean, or null
 */
public record HourView(Instant at, double coldest, double mean, double warmest, Double humidity, Double light) {

    Optional<LightWatch.Lit> lit(LocalDate day) {
        return Optional.ofNullable(light).map(l -> new LightWatch.Lit(day, l));
    }

    AirWatch.Hour hour() {
        return new AirWatch.Hour(mean, Optional.ofNullable(humidity));
    }
}
