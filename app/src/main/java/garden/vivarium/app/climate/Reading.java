package garden.vivarium.app.climate;

import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Temperature;
import java.time.Instant;

/**
 * One reading of the air of a place.
 *
 * @param at when
 * @param warmth °C, −40 to 70
 * @param humidity per cent, 0 to 100; null where it was not read
 * @param light of full sun, 0 to 1; null where it was not read
 */
public record Reading(Instant at, Double warmth, Double humidity, Double light) {

    private static final double COLDEST = -40;
    private static final double WARMEST = 70;

    /** What an instrument of a nursery can read. */
    static final Quantity.Between BELIEVED =
            new Quantity.Between(Temperature.ofCelsius(COLDEST), Temperature.ofCelsius(WARMEST));

    /** Whether an instrument can have read it. */
    boolean isBelievable() {
        return at != null
                && warmth != null
                && warmth >= COLDEST
                && warmth <= WARMEST
                && (humidity == null || (humidity >= 0 && humidity <= 100))
                && (light == null || (light >= 0 && light <= 1));
    }
}
