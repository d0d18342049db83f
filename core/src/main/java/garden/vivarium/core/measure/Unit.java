package garden.vivarium.core.measure;

import java.util.Arrays;
import java.util.List;

/**
 * Units that people measure, pour and weigh with, and what one of each is in the first unit of its kind. Exact by definition
 * (International Yard and Pound Agreement 1959; the US gallon is 231 cubic inches, the imperial one 4.54609 L), but for the spoons,
 * which are kitchen custom, and the drop, which is rough: drops differ by half with the dropper.
 */
public enum Unit {
    MILLIMETRE(Kind.LENGTH, 1),
    CENTIMETRE(Kind.LENGTH, 10),
    INCH(Kind.LENGTH, 25.4),
    MILLILITRE(Kind.VOLUME, 1),
    LITRE(Kind.VOLUME, 1000),
    TEASPOON(Kind.VOLUME, 5),
    TABLESPOON(Kind.VOLUME, 15),
    DROP(Kind.VOLUME, 0.05),
    US_FLUID_OUNCE(Kind.VOLUME, 29.5735295625),
    US_GALLON(Kind.VOLUME, 3785.411784),
    IMPERIAL_PINT(Kind.VOLUME, 568.26125),
    IMPERIAL_GALLON(Kind.VOLUME, 4546.09),
    GRAM(Kind.MASS, 1),
    KILOGRAM(Kind.MASS, 1000),
    OUNCE(Kind.MASS, 28.349523125),
    POUND(Kind.MASS, 453.59237),
    CELSIUS(Kind.TEMPERATURE, 1),
    FAHRENHEIT(Kind.TEMPERATURE, 5.0 / 9, 32),
    CELSIUS_DEGREE(Kind.TEMPERATURE_DIFFERENCE, 1),
    FAHRENHEIT_DEGREE(Kind.TEMPERATURE_DIFFERENCE, 5.0 / 9),
    PPM(Kind.CONCENTRATION, 1),
    MILLIGRAM_PER_LITRE(Kind.CONCENTRATION, 1),
    GRAM_PER_LITRE(Kind.CONCENTRATION, 1000),
    PERCENT(Kind.CONCENTRATION, 10_000),
    HOUR(Kind.TIME, 1),
    DAY(Kind.TIME, 24);

    /** What is measured. */
    public enum Kind {
        LENGTH,
        VOLUME,
        MASS,
        TEMPERATURE,
        TEMPERATURE_DIFFERENCE,
        CONCENTRATION,
        TIME
    }

    private final Kind kind;
    private final double factor;
    private final double zero;

    Unit(Kind kind, double factor) {
        this(kind, factor, 0);
    }

    Unit(Kind kind, double factor, double zero) {
        this.kind = kind;
        this.factor = factor;
        this.zero = zero;
    }

    /** All of a kind, in the order in which they are offered. */
    public static List<Unit> all(Kind kind) {
        return Arrays.stream(values()).filter(u -> u.kind == kind).toList();
    }

    public Kind kind() {
        return kind;
    }

    /** Whether it is no more than a guide. */
    public boolean isRough() {
        return this == DROP;
    }

    /** So many of it, in the first unit of its kind: mm, mL, g, °C, K, ppm or hours. */
    public double of(double number) {
        return (number - zero) * factor;
    }

    /** How many of it so many of the first unit of its kind are. */
    public double in(double amount) {
        return amount / factor + zero;
    }

    /**
     * Itself.
     *
     * @throws IllegalArgumentException if it measures something else
     */
    Unit requires(Kind wanted) {
        if (kind != wanted) {
            throw new IllegalArgumentException("%s measures %s, not %s".formatted(this, kind, wanted));
        }
        return this;
    }

    /** How many decimals of a number of it say something: a thermometer is read to a tenth, a ruler in inches to a hundredth below one. */
    int decimals(double number) {
        double size = Math.abs(number);
        return switch (this) {
            case PPM, MILLIGRAM_PER_LITRE -> 0;
            case MILLIMETRE, CENTIMETRE, CELSIUS, FAHRENHEIT, CELSIUS_DEGREE, FAHRENHEIT_DEGREE, HOUR, DAY -> 1;
            case US_GALLON -> size < 0.1 ? 4 : size < 1 ? 2 : size < 100 ? 1 : 0;
            case INCH -> size < 1 ? 2 : size < 100 ? 1 : 0;
            case LITRE -> size < 1 ? 3 : 2;
            default -> 2;
        };
    }
}
