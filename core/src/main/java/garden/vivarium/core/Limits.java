package garden.vivarium.core;

/** The largest numbers that are believed, each named once. Whatever is larger is taken for a slip of the hand. */
public final class Limits {

    /** Pieces in one batch. */
    public static final int MOST_PIECES = 2000;

    /** Young plants that one plan or promise is for. */
    public static final int MOST_YOUNG_PLANTS = 5000;

    /** Pieces that one stock plant bears, or that are cut from it at once. */
    public static final int MOST_FROM_ONE_PLANT = 5000;

    /** Length of a piece, in mm. */
    public static final int LONGEST_PIECE_MM = 5000;

    /** Length of a root, in mm. */
    public static final int LONGEST_ROOT_MM = 2000;

    private Limits() {}
}
