package garden.vivarium.core.measure;

/**
 * How much room something takes or has.
 *
 * @param millilitres in mL
 * @param unit in which it is told to whoever reads metric measures
 */
public record Volume(double millilitres, Unit unit) implements Quantity {

    /**
     * How much room something takes or has.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public Volume {
        unit.requires(Unit.Kind.VOLUME);
        if (!Double.isFinite(millilitres)) {
            throw new IllegalArgumentException("a volume is a number");
        }
    }

    /** So many litres, told in litres. */
    public static Volume ofLitres(double litres) {
        return new Volume(Unit.LITRE.of(litres), Unit.LITRE);
    }

    /** So many mL, told in mL by everybody: it is what doses are measured in. */
    public static Volume ofMillilitres(double millilitres) {
        return new Volume(millilitres, Unit.MILLILITRE);
    }

    /** In litres. */
    public double litres() {
        return Unit.LITRE.in(millilitres);
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.VOLUME).in(millilitres);
    }
}
