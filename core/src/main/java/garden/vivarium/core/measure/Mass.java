package garden.vivarium.core.measure;

/**
 * How heavy something is.
 *
 * @param grams in g
 * @param unit in which it is told to whoever reads metric measures
 */
public record Mass(double grams, Unit unit) implements Quantity {

    /**
     * How heavy something is.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public Mass {
        unit.requires(Unit.Kind.MASS);
        if (!Double.isFinite(grams)) {
            throw new IllegalArgumentException("a mass is a number");
        }
    }

    /** So many g, told in g by everybody: it is what feeds are weighed in. */
    public static Mass ofGrams(double grams) {
        return new Mass(grams, Unit.GRAM);
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.MASS).in(grams);
    }
}
