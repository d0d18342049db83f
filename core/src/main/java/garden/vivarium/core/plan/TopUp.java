package garden.vivarium.core.plan;

import garden.vivarium.core.guide.OutputRatio;
import java.util.Optional;
import java.util.function.Function;

/**
 * How many pieces more bring what is short up to the chance asked: the least n with P(S + K ≥ N) ≥ confidence, S the supply
 * there is and K what n pieces give.
 *
 * @param pieces pieces to take, 0 where what there is will do
 * @param chance the chance with them
 */
public record TopUp(int pieces, double chance) {

    /**
     * Finds the least number.
     *
     * @param have what there is already
     * @param ready the chance model of a further piece
     * @param output young plants of a ready piece
     * @param perPot pieces to a young plant's pot, 1 and up
     * @param wanted young plants wanted, 1 and up
     * @param confidence above 0 and below 1
     * @param most pieces that can be taken, 0 and up
     * @return the number; empty where not even {@code most} pieces would do
     */
    public static Optional<TopUp> least(
            Supply have, ReadyChance ready, OutputRatio output, int perPot, int wanted, double confidence, int most) {
        Function<Integer, Double> chance = n -> chance(have, Supply.of(ready, n, output, perPot), wanted);
        if (chance.apply(0) >= confidence) {
            return Optional.of(new TopUp(0, chance.apply(0)));
        }
        double mean = Math.max(1e-6, ready.meanShare() * output.mean() / perPot);
        int guess = (int) Math.min(most, Math.max(4, Math.ceil((wanted - have.mean()) / mean)));
        int low = 0;
        int high = guess;
        while (chance.apply(high) < confidence) {
            if (high == most) {
                return Optional.empty();
            }
            low = high;
            high = Math.min(most, high + Math.max(2, high / 2));
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (chance.apply(middle) >= confidence) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return Optional.of(new TopUp(high, chance.apply(high)));
    }

    private static double chance(Supply have, Supply more, int wanted) {
        double sum = have.atLeast(wanted);
        for (int s = Math.min(have.most(), wanted - 1); s >= 0; s--) {
            sum += have.exactChance(s) * more.atLeast(wanted - s);
        }
        return Math.min(1, sum);
    }
}
