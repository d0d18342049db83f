package garden.vivarium.core.plan;

import garden.vivarium.core.Working;
import garden.vivarium.core.guide.OutputRatio;
import java.util.Locale;
import java.util.Optional;

/**
 * A plan split over two ways or two days to start. Batches fail together more often than pieces do: two that are independent
 * seldom both fail. The split has the least number of pieces in all with P(K₁ + K₂ ≥ N) ≥ confidence, K₁ and K₂ convolved, and
 * among those the greatest chance.
 *
 * @param first pieces by the first way, 1 and up
 * @param second pieces by the second, 1 and up
 * @param chance the joint chance of enough
 * @param enoughOfFirst plants the first brings on average, of all that the split brings, 0 to 1
 * @param halfSplit the chance of less than half of what is wanted
 * @param halfAlone the same with as many pieces, all by the first way
 * @param alone the chance of enough with as many pieces, all by the first way
 */
public record Hedge(
        int first, int second, double chance, double enoughOfFirst, double halfSplit, double halfAlone, double alone) {

    private static final int PARTS = 12;

    /**
     * One side of a split.
     *
     * @param ready the chance model of a piece
     * @param output young plants of a ready piece
     */
    public record Side(ReadyChance ready, OutputRatio output) {

        private Supply of(int pieces, int perPot) {
            return Supply.of(ready, pieces, output, perPot);
        }
    }

    /**
     * The best split.
     *
     * @param one the first way or day
     * @param other the second
     * @param wanted young plants, 1 and up
     * @param perPot pieces to a pot
     * @param confidence above 0 and below 1
     * @param most pieces that can be taken in all
     * @return empty where not even {@code most} pieces would do, however they are split
     */
    public static Optional<Hedge> best(Side one, Side other, int wanted, int perPot, double confidence, int most) {
        int low = 1;
        int high = 2;
        while (high < most && best(one, other, high, wanted, perPot).chance() < confidence) {
            low = high;
            high = 2 * high;
        }
        high = Math.min(high, most);
        if (high < 2 || best(one, other, high, wanted, perPot).chance() < confidence) {
            return Optional.empty();
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (best(one, other, middle, wanted, perPot).chance() >= confidence) {
                high = middle;
            } else {
                low = middle;
            }
        }
        Split split = best(one, other, high, wanted, perPot);
        int first = split.first();
        int second = high - first;
        Supply ofFirst = one.of(first, perPot);
        Supply both = ofFirst.and(other.of(second, perPot));
        Supply alone = one.of(high, perPot);
        int half = (wanted + 1) / 2;
        return Optional.of(new Hedge(
                first,
                second,
                split.chance(),
                ofFirst.mean() / both.mean(),
                1 - both.atLeast(half),
                1 - alone.atLeast(half),
                alone.atLeast(wanted)));
    }

    private record Split(int first, double chance) {}

    /** The best of a dozen proportions of so many pieces. */
    private static Split best(Side one, Side other, int pieces, int wanted, int perPot) {
        Split best = new Split(1, -1);
        int tried = 0;
        for (int part = 1; part < PARTS; part++) {
            int first = Math.max(1, Math.min(pieces - 1, Math.round((float) pieces * part / PARTS)));
            if (first != tried) {
                tried = first;
                double chance = one.of(first, perPot)
                        .and(other.of(pieces - first, perPot))
                        .atLeast(wanted);
                if (chance > best.chance()) {
                    best = new Split(first, chance);
                }
            }
        }
        return best;
    }

    /** How it came about. */
    public Working working(int wanted) {
        return Working.of(
                "Why split",
                Working.step(
                        "Two batches are independent: their chances are convolved",
                        String.format(
                                Locale.ROOT,
                                "P(K₁ of %d + K₂ of %d ≥ %d) = %.1f%%",
                                first,
                                second,
                                wanted,
                                100 * chance)),
                Working.step(
                        "The same %d pieces in one batch".formatted(first + second),
                        String.format(Locale.ROOT, "P(K ≥ %d) = %.1f%%", wanted, 100 * alone)),
                Working.step(
                        "Less than half of what is wanted",
                        String.format(
                                Locale.ROOT, "split %.1f%%, in one batch %.1f%%", 100 * halfSplit, 100 * halfAlone)));
    }
}
