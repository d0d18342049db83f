package garden.vivarium.core.compare;

import garden.vivarium.core.measure.Concentration;
import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.TemperatureDifference;
import garden.vivarium.core.measure.TimeSpan;

/** What was measured of a batch in figures, and may bear on how it goes. */
public enum Measure {
    /** Strength of the rooting hormone in ppm; 0 where none was given. */
    HORMONE,
    /** Days between taken and stuck. */
    DRIED,
    /** Length of a piece in cm. */
    LENGTH,
    /** Mean warmth of the place in the first three weeks, in °C. */
    WARMTH,
    /** Mean length of the days of its first three weeks in hours, sun above the horizon. */
    DAYLIGHT,
    /** Hours of lamp a day, by the version of the way by which it was done; 0 for none. */
    LAMP;

    /** So many of it as a quantity. */
    public Quantity quantity(double value) {
        return switch (this) {
            case HORMONE -> Concentration.ofPpm(value);
            case DRIED -> TimeSpan.ofDays(value);
            case LENGTH -> Length.ofCentimetres(value);
            case WARMTH -> Temperature.ofCelsius(value);
            case DAYLIGHT, LAMP -> TimeSpan.ofHours(value);
        };
    }

    /** So many more of it. */
    public Quantity difference(double more) {
        return this == WARMTH ? TemperatureDifference.ofKelvin(more) : quantity(more);
    }
}
