package garden.vivarium.core.divide;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * One way of cutting a plant up, by the piece that each growth goes to; and how two of them compare. Pieces are numbered by their lowest
 * growth, so that one cutting has one writing.
 */
final class Cutting {

    /** Chances are sums of products of a few decimals: closer than this they are equal. */
    private static final double SAME = 1e-9;

    private static final Comparator<List<Integer>> BY_NUMBERS = (a, b) -> {
        for (int i = 0; i < Math.min(a.size(), b.size()); i++) {
            int c = Integer.compare(a.get(i), b.get(i));
            if (c != 0) {
                return c;
            }
        }
        return Integer.compare(a.size(), b.size());
    };

    private final Lying plant;
    private final Worth worth;

    Cutting(Lying plant, Worth worth) {
        this.plant = plant;
        this.worth = worth;
    }

    /** The division where growth i goes to piece {@code of[i]}. */
    Division division(int[] of) {
        int n = of.length;
        List<Division.Piece> pieces = new ArrayList<>();
        for (int first = 0; first < n; first++) {
            if (isFirst(of, first)) {
                Division.Piece piece = piece(of, first);
                if (piece.living() > 0) {
                    pieces.add(piece);
                }
            }
        }
        List<Tie> cuts = plant.ties().stream()
                .filter(t -> of[index(t.a())] != of[index(t.b())])
                .toList();
        return new Division(pieces, cuts, best(pieces));
    }

    private static boolean isFirst(int[] of, int growth) {
        for (int i = 0; i < growth; i++) {
            if (of[i] == of[growth]) {
                return false;
            }
        }
        return true;
    }

    private Division.Piece piece(int[] of, int first) {
        List<Integer> growths = new ArrayList<>();
        int living = 0;
        int rooted = 0;
        boolean lead = false;
        boolean leaf = false;
        for (int i = first; i < of.length; i++) {
            if (of[i] == of[first]) {
                Growth g = plant.growths().get(i);
                growths.add(g.number());
                if (!g.dead()) {
                    living++;
                    rooted += g.roots() ? 1 : 0;
                    lead |= g.lead();
                    leaf |= g.leaf();
                }
            }
        }
        return new Division.Piece(
                growths,
                living,
                rooted,
                lead,
                leaf,
                living == 0 ? 0 : worth.chance(living, rooted, lead, leaf),
                worth.seasons(living, lead));
    }

    private static int best(List<Division.Piece> pieces) {
        int best = 0;
        for (int i = 1; i < pieces.size(); i++) {
            double more = pieces.get(i).chance() - pieces.get(best).chance();
            if (more > SAME
                    || (more > -SAME
                            && BY_NUMBERS.compare(
                                            pieces.get(i).growths(),
                                            pieces.get(best).growths())
                                    < 0)) {
                best = i;
            }
        }
        return best;
    }

    private int index(int number) {
        int low = 0;
        while (plant.growths().get(low).number() != number) {
            low++;
        }
        return low;
    }

    /** What counts for an aim, the weightiest first; more is better. Null where the division does not meet it at all. */
    static double[] value(Ask ask, int pieces, double sum, double least, double best, int seasons, int cuts) {
        return switch (ask.aim()) {
            case SURE_PIECES -> least < ask.sure() - SAME && cuts > 0 ? null : new double[] {pieces, sum, -cuts};
            case MOST_PLANTS -> new double[] {sum, -cuts};
            case SOON_IN_FLOWER -> new double[] {-seasons, pieces, sum, -cuts};
            case BEST_KEPT -> pieces == ask.away() + 1 ? new double[] {best, sum, -cuts} : null;
        };
    }

    /** Below 0 where the first is worse, 0 where they are the same, above where it is better. */
    static int compare(double[] a, double[] b) {
        for (int i = 0; i < a.length; i++) {
            if (Math.abs(a[i] - b[i]) > SAME) {
                return Double.compare(a[i], b[i]);
            }
        }
        return 0;
    }

    /** Of two that are worth the same: the one whose kept piece, and then whose pieces, have the lower numbers. */
    static boolean isBefore(Division a, Division b) {
        int kept = BY_NUMBERS.compare(
                a.pieces().get(a.kept()).growths(), b.pieces().get(b.kept()).growths());
        if (kept != 0) {
            return kept < 0;
        }
        for (int i = 0; i < Math.min(a.pieces().size(), b.pieces().size()); i++) {
            int c = BY_NUMBERS.compare(
                    a.pieces().get(i).growths(), b.pieces().get(i).growths());
            if (c != 0) {
                return c < 0;
            }
        }
        return a.pieces().size() < b.pieces().size();
    }
}
