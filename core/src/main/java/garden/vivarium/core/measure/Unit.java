package garden.vivarium.core.measure;

/**
 * Measures that people pour and weigh with, and what one of each is: in millilitres, or in grams. Exact by definition, but for the
 * spoons, which are kitchen custom, and the drop, which is rough: drops differ by half with the dropper.
 */
public enum Unit {
    MILLILITRE("mL", Kind.VOLUME, 1, false),
    LITRE("L", Kind.VOLUME, 1000, false),
    TEASPOON("teaspoons", Kind.VOLUME, 5, false),
    TABLESPOON("tablespoons", Kind.VOLUME, 15, false),
    DROP("drops", Kind.VOLUME, 0.05, true),
    US_FLUID_OUNCE("US fl oz", Kind.VOLUME, 29.5735295625, false),
    US_GALLON("US gallons", Kind.VOLUME, 3785.411784, false),
    IMPERIAL_PINT("imperial pints", Kind.VOLUME, 568.26125, false),
    IMPERIAL_GALLON("imperial gallons", Kind.VOLUME, 4546.09, false),
    GRAM("g", Kind.MASS, 1, false),
    KILOGRAM("kg", Kind.MASS, 1000, false),
    OUNCE("oz", Kind.MASS, 28.349523125, false),
    POUND("lb", Kind.MASS, 453.59237, false);

    /** What is measured. */
    public enum Kind {
        VOLUME,
        MASS
    }

    private final String words;
    private final Kind kind;
    private final double factor;
    private final boolean rough;

    Unit(String words, Kind kind, double factor, boolean rough) {
        this.words = words;
        this.kind = kind;
        this.factor = factor;
        this.rough = rough;
    }

    public String words() {
        return words;
    }

    public Kind kind() {
        return kind;
    }

    /** Whether it is no more than a guide. */
    public boolean isRough() {
        return rough;
    }

    /** So many of it, in mL or g. */
    public double of(double number) {
        return number * factor;
    }

    /** How many of it so many mL or g are. */
    public double in(double amount) {
        return amount / factor;
    }
}
