package garden.vivarium.app.demo;

import garden.vivarium.app.climate.AirRecord;
import garden.vivarium.app.climate.Readings;
import garden.vivarium.app.climate.SimulatedLoggers;
import garden.vivarium.app.platform.CurrentNursery;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.simulate.PlaceWeather;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The air of the sample nursery: a made-up logger at each place that has one. */
@Component
@ConditionalOnProperty("vivarium.demo")
class DemoAir {

    private static final double LATITUDE = 57.3;
    private static final long SEED = 57;
    private static final int OPEN = -300;

    /** By place: heated to, warmed by full sun, humidity at night. */
    private static final Map<String, PlaceWeather> PLACES = Map.of(
            "Glasshouse, mist bench", new PlaceWeather(SEED, LATITUDE, 17, 9, 92),
            "Glasshouse, dry shelf", new PlaceWeather(SEED, LATITUDE, 15, 9, 62),
            "Frost-free shed, lit shelf", new PlaceWeather(SEED, LATITUDE, 18, 2, 60),
            "Shade tunnel", new PlaceWeather(SEED, LATITUDE, 3, 4, 84),
            "Cold frame and nursery bed", new PlaceWeather(SEED, LATITUDE, OPEN, 5, 88));

    private final SimulatedLoggers loggers;
    private final Readings readings;
    private final AirRecord record;
    private final Stock stock;
    private final CurrentNursery nursery;

    DemoAir(SimulatedLoggers loggers, Readings readings, AirRecord record, Stock stock, CurrentNursery nursery) {
        this.loggers = loggers;
        this.readings = readings;
        this.record = record;
        this.stock = stock;
        this.nursery = nursery;
    }

    /** Reads the places of the sample nursery from now on. */
    void read(UUID sample) {
        nursery.workingFor(sample, () -> {
            if (record.latitude().isEmpty()) {
                readings.isAt(LATITUDE, 14);
            }
            for (PlaceView place : stock.places()) {
                PlaceWeather weather = PLACES.get(place.name());
                if (weather != null) {
                    loggers.read(place.id(), weather, place.name().contains("mist"));
                }
            }
            return null;
        });
    }
}
