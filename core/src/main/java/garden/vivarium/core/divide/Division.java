package garden.vivarium.core.divide;

import java.util.List;

/**
 * A plant cut up.
 *
 * @param pieces that are worth a pot, by their lowest growth
 * @param cuts ties that are cut
 * @param kept which of the pieces is kept for oneself, from 0; the best of them
 */
public record Division(List<Piece> pieces, List<Tie> cuts, int kept) {

    public Division {
        pieces = List.copyOf(pieces);
        cuts = List.copyOf(cuts);
    }

    /**
     * A piece.
     *
     * @param growths their numbers, rising; dead ones that go with it included
     * @param living how many of them live
     * @param rooted how many have roots of their own
     * @param lead whether one bears a growing point
     * @param leaf whether one bears a leaf
     * @param chance that it takes
     * @param seasons until it flowers
     */
    public record Piece(
            List<Integer> growths, int living, int rooted, boolean lead, boolean leaf, double chance, int seasons) {

        public Piece {
            growths = List.copyOf(growths);
        }

        private Piece undisturbed() {
            return new Piece(growths, living, rooted, lead, leaf, 1, seasons);
        }
    }

    /** The same not even lifted: that it lives on is certain. */
    Division undisturbed() {
        return new Division(pieces.stream().map(Piece::undisturbed).toList(), cuts, kept);
    }

    /** Plants to be expected of it. */
    public double expected() {
        return pieces.stream().mapToDouble(Piece::chance).sum();
    }

    /** The least sure of its pieces. */
    public double leastSure() {
        return pieces.stream().mapToDouble(Piece::chance).min().orElse(0);
    }

    /** Seasons until the last of them flowers. */
    public int seasons() {
        return pieces.stream().mapToInt(Piece::seasons).max().orElse(0);
    }

    /** Whether it is better left alone. */
    public boolean isUndivided() {
        return cuts.isEmpty();
    }
}
