package garden.vivarium.core.measure;

/**
 * In what a strength is said. In water, where a litre weighs a kilogram: 1 per cent is 10 g/L, or 10,000 ppm; 1 ppm is 1 mg/L.
 */
public enum Strength {
    PERCENT("per cent", 10_000),
    PPM("ppm", 1),
    GRAMS_PER_LITRE("g/L", 1000),
    MILLIGRAMS_PER_LITRE("mg/L", 1);

    private final String words;
    private final double ppm;

    Strength(String words, double ppm) {
        this.words = words;
        this.ppm = ppm;
    }

    public String words() {
        return words;
    }

    /** So much of it, in ppm. */
    public double ppm(double amount) {
        return amount * ppm;
    }

    /** How much of it so many ppm are. */
    public double of(double inPpm) {
        return inPpm / ppm;
    }
}
