package garden.vivarium.core.measure;

/**
 * How strong a preparation is. In water, where a litre weighs a kilogram, 1 per cent is 10 g/L, or 10,000 ppm; 1 ppm is 1 mg/L.
 *
 * @param ppm in parts per million by mass, 0 and up
 * @param unit in which it is told to whoever reads metric measures
 */
public record Concentration(double ppm, Unit unit) implements Quantity {

    /**
     * How strong a preparation is. In water, where a litre weighs a kilogram, 1 per cent is 10 g/L, or 10,000 ppm; 1 ppm is 1 mg/L.
     *
     * @throws IllegalArgumentException if it is no number, or the unit measures something else
     */
    public Concentration {
        unit.requires(Unit.Kind.CONCENTRATION);
        if (!Double.isFinite(ppm)) {
            throw new IllegalArgumentException("a concentration is a number");
        }
    }

    /** So many ppm, told in ppm. */
    public static Concentration ofPpm(double ppm) {
        return new Concentration(ppm, Unit.PPM);
    }

    /** So many per cent, told in per cent. */
    public static Concentration ofPercent(double percent) {
        return new Concentration(Unit.PERCENT.of(percent), Unit.PERCENT);
    }

    @Override
    public double in(Unit other) {
        return other.requires(Unit.Kind.CONCENTRATION).in(ppm);
    }
}
