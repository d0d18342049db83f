package garden.vivarium.core.measure;

/**
 * How long something lasts.
 *
 * @param hours in hours
 * @param unit in which it is told to whoever reads metric measures
 */
public record TimeSpan(double hours, Unit unit) implements Quantity {

    /**
     * How long something lasts.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public TimeSpan {
        unit.requires(Unit.Kind.TIME);
        if (!Double.isFinite(hours)) {
            throw new IllegalArgumentException("a span of time is a number");
        }
    }

    /** So many days. */
    public static TimeSpan ofDays(double days) {
        return new TimeSpan(Unit.DAY.of(days), Unit.DAY);
    }

    /** So many hours. */
    public static TimeSpan ofHours(double hours) {
        return new TimeSpan(hours, Unit.HOUR);
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.TIME).in(hours);
    }
}
