package garden.vivarium.core.divide;

/**
 * What is wanted of a division.
 *
 * @param aim what counts
 * @param sure the least chance of each piece, 0 to 1, where pieces shall be sure
 * @param away how many pieces are for others, 1 and up, where one is kept
 */
public record Ask(Aim aim, double sure, int away) {

    /** What counts. */
    public enum Aim {
        /** As many pieces as are each sure enough. */
        SURE_PIECES,
        /** As many plants as can be expected. */
        MOST_PLANTS,
        /** All pieces to flower as soon as may be, and as many of those as can be. */
        SOON_IN_FLOWER,
        /** So many for others, and the best for oneself. */
        BEST_KEPT
    }

    public Ask {
        if (!(sure >= 0 && sure <= 1) || away < 1 || away > Lying.MOST) {
            throw new IllegalArgumentException("a chance is 0 to 1, and one piece or more goes away");
        }
    }

    /** As many pieces as are each sure enough. */
    public static Ask sure(double chance) {
        return new Ask(Aim.SURE_PIECES, chance, 1);
    }

    /** Without more figures. */
    public static Ask of(Aim aim) {
        return new Ask(aim, 0.7, 1);
    }

    /** So many for others, and the best for oneself. */
    public static Ask away(int pieces) {
        return new Ask(Aim.BEST_KEPT, 0.7, pieces);
    }
}
