package garden.vivarium.core.divide;

/**
 * What holds two growths together; named with the lower number first.
 *
 * @param a lower number
 * @param b higher number
 */
public record Tie(int a, int b) {

    public Tie {
        if (a >= b) {
            throw new IllegalArgumentException("a tie holds two growths, the lower number first");
        }
    }

    /** Between two growths, whichever comes first. */
    public static Tie between(int one, int other) {
        return new Tie(Math.min(one, other), Math.max(one, other));
    }
}
