package garden.vivarium.core.measure;

/** In which units somebody reads and types lengths, volumes and temperatures. Everything is kept metric; doses are metric for all. */
public enum UnitSystem {
    /** Centimetres, °C, litres. */
    METRIC,
    /** Inches, °F, US gallons. */
    US;

    /** The unit in which a reader of this system is told what is measured in a metric one. */
    public Unit of(Unit metric) {
        if (this == METRIC) {
            return metric;
        }
        return switch (metric) {
            case MILLIMETRE, CENTIMETRE -> Unit.INCH;
            case LITRE -> Unit.US_GALLON;
            case CELSIUS -> Unit.FAHRENHEIT;
            case CELSIUS_DEGREE -> Unit.FAHRENHEIT_DEGREE;
            default -> metric;
        };
    }
}
