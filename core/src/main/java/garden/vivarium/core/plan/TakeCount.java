package garden.vivarium.core.plan;

import garden.vivarium.core.guide.OutputRatio;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;

/**
 * The least number of pieces with which the chance of enough reaches the confidence asked. Aims over {@value #SOLVED} are solved
 * for that many and scaled, ⌈N·n₂₀₀₀/2000⌉: batches' spread, not chance among pieces, rules them (n for 9,000 of Beta(990, 10) so
 * comes to 9,140, exactly 9,132).
 *
 * @param pieces pieces to take, 1 and up
 * @param chance the chance with that number, at least the confidence asked
 * @param isScaled whether it was solved for a smaller aim and scaled
 */
public record TakeCount(int pieces, double chance, boolean isScaled) {

    /** The largest aim that is solved as it is. */
    public static final int SOLVED = 2000;

    /** The largest aim there is. */
    public static final int MOST_WANTED = 250_000;

    private static final int MOST_TIMES = 20;
    private static final int LEAST_MOST = 5000;

    /** Beyond so many pieces no number is sought: then no number would do. */
    public static int most(int wanted) {
        return Math.max(LEAST_MOST, MOST_TIMES * wanted);
    }

    /**
     * Finds the least number.
     *
     * @param ready the chance model
     * @param output young plants a ready piece yields
     * @param wanted young plants wanted, 1 and up
     * @param confidence above 0 and below 1
     * @return the count; empty if not even {@link #most} pieces would do
     */
    public static Optional<TakeCount> least(ReadyChance ready, OutputRatio output, int wanted, double confidence) {
        if (wanted < 1 || wanted > MOST_WANTED || !(confidence > 0) || !(confidence < 1)) {
            throw new IllegalArgumentException("needs 1 to %d plants and a confidence between 0 and 1, not %d and %s"
                    .formatted(MOST_WANTED, wanted, confidence));
        }
        if (wanted > SOLVED) {
            return least(ready, output, SOLVED, confidence)
                    .map(t -> new TakeCount((int) Math.ceil((double) wanted * t.pieces() / SOLVED), t.chance(), true));
        }
        int from =
                (int) Math.max(1, Math.ceil((double) wanted / output.chances().size()));
        IntToDoubleFunction chance = n -> ready.atLeast(wanted, n, output);
        return FirstThat.of(
                        from,
                        most(wanted),
                        guess(ready, output, wanted),
                        n -> chance.applyAsDouble((int) n) >= confidence)
                .stream()
                .mapToObj(n -> new TakeCount((int) n, chance.applyAsDouble((int) n), false))
                .findFirst();
    }

    /** The count whose mean would just do: a place to begin. */
    static int guess(ReadyChance ready, OutputRatio output, int wanted) {
        double mean = ready.meanShare() * output.mean();
        int most = most(wanted);
        return mean * most <= wanted ? most : (int) Math.ceil(wanted / mean);
    }
}
