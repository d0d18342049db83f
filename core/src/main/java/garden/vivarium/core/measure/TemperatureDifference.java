package garden.vivarium.core.measure;

/**
 * By how much something is warmer than something else: 1 K is 1.8 °F, and no difference is none in any unit.
 *
 * @param kelvin in K, below 0 for colder
 * @param unit in which it is told to whoever reads metric measures
 */
public record TemperatureDifference(double kelvin, Unit unit) implements Quantity {

    /**
     * By how much something is warmer than something else: 1 K is 1.8 °F, and no difference is none in any unit.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public TemperatureDifference {
        unit.requires(Unit.Kind.TEMPERATURE_DIFFERENCE);
        if (!Double.isFinite(kelvin)) {
            throw new IllegalArgumentException("a difference of temperatures is a number");
        }
    }

    /** So many K, which are as many degrees Celsius. */
    public static TemperatureDifference ofKelvin(double kelvin) {
        return new TemperatureDifference(kelvin, Unit.CELSIUS_DEGREE);
    }

    /** Without its sign. */
    public TemperatureDifference abs() {
        return ofKelvin(Math.abs(kelvin));
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.TEMPERATURE_DIFFERENCE).in(kelvin);
    }
}
