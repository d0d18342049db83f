package garden.vivarium.core.plan;

import garden.vivarium.core.guide.OutputRatio;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.IntToDoubleFunction;

/**
 * The least number of pieces with which the chance of enough reaches the confidence asked.
 *
 * @param pieces pieces to take, 1 and up
 * @param chance the chance with that number, at least the confidence asked
 */
public record TakeCount(int pieces, double chance) {

    /** More pieces than this are never proposed. */
    public static final int MOST = 5000;

    /**
     * Finds the least number.
     *
     * @param ready the chance model
     * @param output young plants a ready piece yields
     * @param wanted young plants wanted, 1 and up
     * @param confidence above 0 and below 1
     * @return the count; empty if not even {@link #MOST} pieces would do
     */
    public static Optional<TakeCount> least(ReadyChance ready, OutputRatio output, int wanted, double confidence) {
        if (wanted < 1 || !(confidence > 0) || !(confidence < 1)) {
            throw new IllegalArgumentException("needs one plant or more and a confidence between 0 and 1, not %d and %s"
                    .formatted(wanted, confidence));
        }
        int from =
                (int) Math.max(1, Math.ceil((double) wanted / output.chances().size()));
        IntToDoubleFunction chance = n -> ready.atLeast(wanted, n, output);
        OptionalInt least = search(chance, from, guess(ready, output, wanted), confidence);
        return least.isPresent()
                ? Optional.of(new TakeCount(least.getAsInt(), chance.applyAsDouble(least.getAsInt())))
                : Optional.empty();
    }

    /** The count whose mean would just do: a place to begin. */
    private static int guess(ReadyChance ready, OutputRatio output, int wanted) {
        double mean = ready.meanShare() * output.mean();
        return mean * MOST <= wanted ? MOST : (int) Math.ceil(wanted / mean);
    }

    /** The chance never falls as n grows, so steps that widen from the guess and then halving find the least n. */
    private static OptionalInt search(IntToDoubleFunction chance, int from, int guess, double confidence) {
        int high = Math.max(from, Math.min(MOST, guess));
        int low = from - 1;
        int step = 1;
        if (chance.applyAsDouble(high) >= confidence) {
            while (high - step > low) {
                if (chance.applyAsDouble(high - step) < confidence) {
                    low = high - step;
                    break;
                }
                high -= step;
                step *= 2;
            }
        } else {
            do {
                if (high == MOST) {
                    return OptionalInt.empty();
                }
                low = high;
                high = Math.min(MOST, high + step);
                step *= 2;
            } while (chance.applyAsDouble(high) < confidence);
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (chance.applyAsDouble(middle) >= confidence) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return OptionalInt.of(high);
    }
}
