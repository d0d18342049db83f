package garden.vivarium.core.measure;

/**
 * How long, wide, deep or high something is, or how far away.
 *
 * @param millimetres in mm
 * @param unit in which it is told to whoever reads metric measures
 */
public record Length(double millimetres, Unit unit) implements Quantity {

    /**
     * How long, wide, deep or high something is, or how far away.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public Length {
        unit.requires(Unit.Kind.LENGTH);
        if (!Double.isFinite(millimetres)) {
            throw new IllegalArgumentException("a length is a number");
        }
    }

    /** So many mm, told in mm. */
    public static Length ofMillimetres(double millimetres) {
        return new Length(millimetres, Unit.MILLIMETRE);
    }

    /** So many cm, told in cm. */
    public static Length ofCentimetres(double centimetres) {
        return new Length(Unit.CENTIMETRE.of(centimetres), Unit.CENTIMETRE);
    }

    /** The same, told in cm. */
    public Length inCentimetres() {
        return new Length(millimetres, Unit.CENTIMETRE);
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.LENGTH).in(millimetres);
    }
}
