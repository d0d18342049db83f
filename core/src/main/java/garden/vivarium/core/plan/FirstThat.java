package garden.vivarium.core.plan;

import java.util.OptionalLong;
import java.util.function.LongPredicate;

/** Finds the first of a row of numbers from which on something holds. */
final class FirstThat {

    private FirstThat() {}

    /**
     * The first number that holds: by steps that widen from a guess, then by halving. Few are tried where the guess is near.
     *
     * @param from the first there is
     * @param to the last there is
     * @param guess where to begin; beyond the ends it is put to the nearer one
     * @param holds what never stops holding once it does
     * @return the number; empty if it holds of none
     */
    static OptionalLong of(long from, long to, long guess, LongPredicate holds) {
        if (to < from) {
            return OptionalLong.empty();
        }
        long high = Math.max(from, Math.min(to, guess));
        long low = from - 1;
        long step = 1;
        if (holds.test(high)) {
            while (high - step > low) {
                if (!holds.test(high - step)) {
                    low = high - step;
                    break;
                }
                high -= step;
                step *= 2;
            }
        } else {
            do {
                if (high == to) {
                    return OptionalLong.empty();
                }
                low = high;
                high = Math.min(to, high + step);
                step *= 2;
            } while (!holds.test(high));
        }
        while (high - low > 1) {
            long middle = (low + high) >>> 1;
            if (holds.test(middle)) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return OptionalLong.of(high);
    }
}
