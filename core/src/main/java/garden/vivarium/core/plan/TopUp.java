package garden.vivarium.core.plan;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;

/**
 * How many pieces more bring what is short up to the chance asked: the least n with P(S + K ≥ N) ≥ confidence, S what there is
 * and K what n pieces give. Where some of what there is goes the same way as the pieces, both share what is not known of it, and
 * the chance is averaged over that.
 *
 * @param pieces pieces to take, 0 where what there is will do
 * @param chance the chance with them
 */
public record TopUp(int pieces, double chance) {

    /**
     * Finds the least number.
     *
     * @param have what there is already
     * @param more the pieces that would be taken
     * @param wanted young plants wanted, 1 and up
     * @param confidence above 0 and below 1
     * @param most pieces that can be taken, 0 and up
     * @return the number; empty where not even {@code most} pieces would do
     */
    public static Optional<TopUp> least(
            Collection<Prospect> have, PlannedPieces more, int wanted, double confidence, int most) {
        Supply there = Prospect.together(have);
        double without = there.atLeast(wanted);
        if (without >= confidence) {
            return Optional.of(new TopUp(0, without));
        }
        IntToDoubleFunction chance = chances(have, there, more, wanted);
        int guess = (int) Math.min(
                most, Math.max(4, Math.ceil((wanted - there.mean()) / Math.max(1e-6, more.meanOfOne()))));
        int low = 0;
        int high = guess;
        while (chance.applyAsDouble(high) < confidence) {
            if (high == most) {
                return Optional.empty();
            }
            low = high;
            high = Math.min(most, high + Math.max(2, high / 2));
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (chance.applyAsDouble(middle) >= confidence) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return Optional.of(new TopUp(high, chance.applyAsDouble(high)));
    }

    private static IntToDoubleFunction chances(
            Collection<Prospect> have, Supply there, PlannedPieces more, int wanted) {
        Prospect.Split split = Prospect.apart(have, more.way());
        if (split.ofWay().isEmpty()) {
            return n -> there.atLeast(wanted, more.supply(n));
        }
        Prospect.ByNode byNode = split.byNode();
        List<Supply> before =
                byNode.supplies().stream().map(split.others()::and).toList();
        return n -> {
            double sum = 0;
            for (int i = 0; i < before.size(); i++) {
                sum += byNode.weights()[i]
                        * before.get(i)
                                .atLeast(wanted, more.supplyAt(byNode.nodes().get(i), byNode.besideRunning(), n));
            }
            return sum;
        };
    }
}
