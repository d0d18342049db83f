package garden.vivarium.core.watch;

/**
 * What a hand has to do on a round, and about how long that takes. The minutes are Vivarium's own rough figures for one practised
 * person at a bench, a part for going there and taking the thing in hand and a part for each piece; they are told as "about", to
 * show whether a round is a quarter of an hour or half a day.
 */
public enum HandWork {
    /** Looking at pieces, and saying what is there. */
    LOOK(1.5, 0.1),
    /** Answering a question by a glance. */
    ASK(1, 0),
    /** One act for the whole batch: uncover, water, feed. */
    TEND(3, 0),
    /** Sticking pieces that have callused. */
    STICK(3, 0.5),
    /** Potting rooted pieces, each into its pot, with a label. */
    POT(3, 0.75),
    /** Taking young plants off pieces that stay. */
    SEPARATE(2, 0.75),
    /** Seeing whether young plants hold. */
    SETTLE(1, 0.05),
    /** Throwing out what will not come. */
    CLEAR(2, 0.02),
    /** Taking material, preparing and sticking it. */
    START(8, 0.8),
    /** Anything else that is done at a place. */
    OTHER(4, 0);

    private final double start;
    private final double each;

    HandWork(double start, double each) {
        this.start = start;
        this.each = each;
    }

    /**
     * Minutes for so many pieces.
     *
     * @param pieces 0 and up
     * @throws IllegalArgumentException if there are fewer than none
     */
    public double minutes(int pieces) {
        if (pieces < 0) {
            throw new IllegalArgumentException("pieces are 0 or more, not " + pieces);
        }
        return start + each * pieces;
    }
}
