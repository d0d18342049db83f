package garden.vivarium.core.measure;

/**
 * How warm something is.
 *
 * @param celsius in °C
 * @param unit in which it is told to whoever reads metric measures
 */
public record Temperature(double celsius, Unit unit) implements Quantity {

    /**
     * How warm something is.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public Temperature {
        unit.requires(Unit.Kind.TEMPERATURE);
        if (!Double.isFinite(celsius)) {
            throw new IllegalArgumentException("a temperature is a number");
        }
    }

    /** So many °C. */
    public static Temperature ofCelsius(double celsius) {
        return new Temperature(celsius, Unit.CELSIUS);
    }

    /** By how much this is warmer than another; below 0 where it is colder. */
    public TemperatureDifference minus(Temperature other) {
        return TemperatureDifference.ofKelvin(celsius - other.celsius);
    }

    /** What was told in whole °C is told in whole °F. */
    @Override
    public Figure in(UnitSystem units) {
        Figure told = Quantity.super.in(units);
        return celsius == Math.rint(celsius) ? new Figure(told.number(), told.unit(), 0) : told;
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.TEMPERATURE).in(celsius);
    }
}
