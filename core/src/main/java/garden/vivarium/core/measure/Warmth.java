package garden.vivarium.core.measure;

import java.util.Optional;

/**
 * A range of temperature, and how long it is kept.
 *
 * @param from lowest, in °C, −20 to 60
 * @param to highest, in °C, no lower than the lowest
 * @param weeks for how many weeks, 1 and up; empty for as long as it takes
 */
public record Warmth(double from, double to, Optional<Integer> weeks) {

    /** The coldest and the warmest that a bench can have, in °C. */
    public static final double COLDEST = -20;

    public static final double WARMEST = 60;

    /**
     * A range of temperature.
     *
     * @throws IllegalArgumentException if it is out of order, or no bench is so cold or warm
     */
    public Warmth {
        if (!(from >= COLDEST) || !(to <= WARMEST) || from > to) {
            throw new IllegalArgumentException(
                    "warmth runs from %s °C to %s °C; it must lie between −20 and 60, the lower first"
                            .formatted(from, to));
        }
        if (weeks.filter(w -> w < 1).isPresent()) {
            throw new IllegalArgumentException("a spell of warmth is 1 week or more");
        }
    }

    /** From the lowest to the highest. */
    public Quantity.Between range() {
        return new Quantity.Between(Temperature.ofCelsius(from), Temperature.ofCelsius(to));
    }

    /** One temperature, as long as it takes. */
    public static Warmth of(double celsius) {
        return between(celsius, celsius);
    }

    /** A range, as long as it takes. */
    public static Warmth between(double from, double to) {
        return new Warmth(from, to, Optional.empty());
    }
}
