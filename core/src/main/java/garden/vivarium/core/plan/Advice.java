package garden.vivarium.core.plan;

import garden.vivarium.core.guide.Verdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;

/**
 * Ways in the order in which they are advised: what the plant can bear in the time before what it cannot; what this nursery has
 * done well with it, or with others of its kind, before what the guide only says; usual for the kind before possible; in season
 * before out of it; the commonest method first; then the surest, the fewest pieces, the soonest and the least work.
 *
 * @param open the few to look at, the best first
 * @param folded the others that could be done
 */
public record Advice<W>(List<W> open, List<W> folded) {

    /** More than this many ways nobody compares. */
    public static final int MOST_OPEN = 5;

    public Advice {
        open = List.copyOf(open);
        folded = List.copyOf(folded);
    }

    /**
     * Puts ways in order.
     *
     * @param ways in any order
     * @param as what advice looks at of one
     */
    public static <W> Advice<W> of(List<W> ways, Function<W, AdvisedWay> as) {
        return folded(sorted(ways, as), as);
    }

    /** Opens the first few of ways that stand in some order already: possible ones only where no usual one can be done. */
    public static <W> Advice<W> folded(List<W> sorted, Function<W, AdvisedWay> as) {
        List<W> open = new ArrayList<>();
        List<W> folded = new ArrayList<>();
        boolean anyUsual = sorted.stream()
                .map(as)
                .anyMatch(w -> isOpen(w) && w.plan().inTurn().isPresent());
        for (W way : sorted) {
            boolean shown = (isOpen(as.apply(way)) || !anyUsual) && open.size() < MOST_OPEN;
            (shown ? open : folded).add(way);
        }
        return new Advice<>(open, folded);
    }

    private static boolean isOpen(AdvisedWay way) {
        return way.offered().verdict() == Verdict.USUAL || way.isProven();
    }

    /** Ways in the order in which they are advised. */
    public static <W> List<W> sorted(List<W> ways, Function<W, AdvisedWay> as) {
        // A chance is dear to reckon, and a sort would ask for it many times.
        return ways.stream()
                .map(w -> new Keyed<>(w, Key.of(as.apply(w))))
                .sorted(Comparator.comparing(Keyed::key, ORDER))
                .map(Keyed::way)
                .toList();
    }

    private record Keyed<W>(W way, Key key) {}

    private static final int NOT_BORNE = 3;

    private record Key(int bearing, AdvisedWay way, double sureness) {

        static Key of(AdvisedWay way) {
            return new Key(bearing(way), way, way.sureness());
        }

        /**
         * 0 borne, 1 all that there is, which is less sure, 2 not counted, 3 not borne in the time, 4 not counted of a way that few start with. What
         * nobody counted goes after all that was.
         */
        private static int bearing(AdvisedWay way) {
            if (way.plan().inTurn().isEmpty()) {
                return NOT_BORNE;
            }
            if (!way.plan().isUncounted()) {
                return way.plan().isAllThatThereIs() ? 1 : 0;
            }
            return isOpen(way) ? 2 : NOT_BORNE + 1;
        }

        /** Of ways of which none gives what is wanted as surely as is asked, the one that gives most: 0 for others. */
        double hopeless() {
            double each = -way.plan().season().strike().mean();
            return bearing == NOT_BORNE ? each : bearing == 1 ? each * way.pieces() : 0;
        }

        /** 0 done well here, 1 usual, 2 possible, 3 done badly here. */
        int standing() {
            if (way.isPoor()) {
                return 3;
            }
            return way.isProven() ? 0 : way.offered().verdict() == Verdict.USUAL ? 1 : 2;
        }
    }

    private static final Comparator<Key> ORDER = Comparator.comparing((Key k) -> k.bearing())
            .thenComparing(Key::standing)
            .thenComparing(k -> k.way().offered().verdict())
            .thenComparing(k -> !k.way().plan().isInSeason())
            .thenComparing(k -> k.way().offered().rank())
            .thenComparing(k -> -k.sureness())
            .thenComparing(Key::hopeless)
            .thenComparing(k -> k.way().pieces())
            .thenComparing(k -> k.way().plan().expected().ready().to())
            .thenComparing(k -> k.way().minutes());
}
