package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plan split over two ways or two days to start. Pieces of one batch fail together; two batches seldomer do, though two of one
 * way still share what is not known of it ({@link SharedDoubt}). The split has the least number of pieces in all with
 * P(K₁ + K₂ ≥ N) ≥ confidence, K₁ and K₂ convolved for each value of what they share, and among those the greatest chance.
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
     * The best split.
     *
     * @param one the first way or day
     * @param other the second
     * @param wanted young plants, 1 and up
     * @param confidence above 0 and below 1
     * @param most pieces that can be taken in all
     * @return empty where not even {@code most} pieces would do, however they are split
     */
    public static Optional<Hedge> best(
            PlannedPieces one, PlannedPieces other, int wanted, double confidence, int most) {
        Chances both = new Chances(one, other);
        int low = 1;
        int high = 2;
        while (high < most && both.best(high, wanted).chance() < confidence) {
            low = high;
            high = 2 * high;
        }
        high = Math.min(high, most);
        if (high < 2 || both.best(high, wanted).chance() < confidence) {
            return Optional.empty();
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (both.best(middle, wanted).chance() >= confidence) {
                high = middle;
            } else {
                low = middle;
            }
        }
        Split split = both.best(high, wanted);
        int first = split.first();
        int second = high - first;
        Supply ofFirst = one.supply(first);
        Supply together = Prospect.together(List.of(one.prospect(first), other.prospect(second)));
        Supply alone = one.supply(high);
        int half = (wanted + 1) / 2;
        return Optional.of(new Hedge(
                first,
                second,
                split.chance(),
                ofFirst.mean() / together.mean(),
                1 - together.atLeast(half),
                1 - alone.atLeast(half),
                alone.atLeast(wanted)));
    }

    private record Split(int first, double chance) {}

    /** Chances of splits: each number of pieces of a side, for each value of what is shared, is reckoned once. */
    private static final class Chances {

        private final PlannedPieces one;
        private final PlannedPieces other;
        private final List<SharedDoubt.Node> nodes;
        private final Map<Integer, List<Supply>> ofOne = new HashMap<>();
        private final Map<Integer, List<Supply>> ofOther = new HashMap<>();

        Chances(PlannedPieces one, PlannedPieces other) {
            this.one = one;
            this.other = other;
            this.nodes = one.way().equals(other.way())
                    ? one.doubt(false).nodes(SharedDoubt.RATES, SharedDoubt.SPEEDS)
                    : List.of();
        }

        /** The best of a dozen proportions of so many pieces. */
        Split best(int pieces, int wanted) {
            Split best = new Split(1, -1);
            int tried = 0;
            for (int part = 1; part < PARTS; part++) {
                int first = Math.max(1, Math.min(pieces - 1, Math.round((float) pieces * part / PARTS)));
                if (first != tried) {
                    tried = first;
                    double chance = chance(first, pieces - first, wanted);
                    if (chance > best.chance()) {
                        best = new Split(first, chance);
                    }
                }
            }
            return best;
        }

        private double chance(int first, int second, int wanted) {
            List<Supply> here = ofOne.computeIfAbsent(first, n -> supplies(one, n));
            List<Supply> there = ofOther.computeIfAbsent(second, n -> supplies(other, n));
            double sum = 0;
            for (int i = 0; i < here.size(); i++) {
                sum += (nodes.isEmpty() ? 1 : nodes.get(i).weight())
                        * here.get(i).atLeast(wanted, there.get(i));
            }
            return sum;
        }

        private List<Supply> supplies(PlannedPieces side, int pieces) {
            return nodes.isEmpty()
                    ? List.of(side.supply(pieces))
                    : nodes.stream().map(n -> side.supplyAt(n, false, pieces)).toList();
        }
    }

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** Why split. */
        WHY_SPLIT,
        /** {@code first} and {@code second} together reach {@code wanted} with {@code chance}. */
        TOGETHER,
        /** All {@code pieces} in one batch reach {@code wanted} with {@code chance}. */
        IN_ONE,
        /** Less than half of what is wanted: {@code split}, in one batch {@code alone}. */
        LESS_THAN_HALF
    }

    /** How it came about. */
    public Working working(int wanted) {
        return Working.of(
                Statement.of(Step.WHY_SPLIT, "chance", chance, "alone", alone),
                Statement.of(Step.TOGETHER, "first", first, "second", second, "wanted", wanted, "chance", chance),
                Statement.of(Step.IN_ONE, "pieces", first + second, "wanted", wanted, "chance", alone),
                Statement.of(Step.LESS_THAN_HALF, "split", halfSplit, "alone", halfAlone));
    }
}
