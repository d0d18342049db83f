package garden.vivarium.core.divide;

/**
 * What a piece of so many growths is worth for a kind: how sure it takes and how soon it flowers. A piece of {@code least} growths takes
 * with {@code leastChance}, one of {@code comfortable} or more with {@code comfortableChance}, in a straight line between; fewer than the
 * least in proportion. Less without roots of its own, without a growing point, without a leaf.
 *
 * @param least growths of the smallest piece that is worth its pot, 1 and up
 * @param leastChance that it takes, above 0 and up to 1
 * @param comfortable growths of a piece that hardly notices, above {@code least}
 * @param comfortableChance that it takes, {@code leastChance} and up to 1
 * @param failing by what the odds of failing are multiplied, as this nursery's own record has it: ¼ to 4, 1 without one
 */
public record Worth(int least, double leastChance, int comfortable, double comfortableChance, double failing) {

    private static final double MOST_FAILING = 4;

    /** By custom, before a nursery has divided any. */
    public Worth(int least, double leastChance, int comfortable, double comfortableChance) {
        this(least, leastChance, comfortable, comfortableChance, 1);
    }

    private static final double NO_ROOTS = 0.6;
    private static final double FEW_ROOTS = 0.85;
    private static final double NO_LEAD = 0.8;
    private static final double NO_LEAF = 0.7;

    public Worth {
        if (least < 1
                || comfortable <= least
                || !(leastChance > 0 && leastChance <= comfortableChance && comfortableChance <= 1)) {
            throw new IllegalArgumentException(
                    "the least is a growth or more, comfortable is more than that, and is no less sure");
        }
    }

    /**
     * The chance that a piece takes.
     *
     * @param growths living ones, 1 and up
     * @param rooted how many of them have roots of their own, 0 and up
     * @param lead whether one bears a growing point
     * @param leaf whether one bears a leaf
     */
    public double chance(int growths, int rooted, boolean lead, boolean leaf) {
        double byGrowths = growths < least
                ? leastChance * growths / least
                : leastChance
                        + (comfortableChance - leastChance)
                                * Math.min(1, (growths - least) / (double) (comfortable - least));
        double byRoots = rooted == 0 ? NO_ROOTS : 2 * rooted < growths ? FEW_ROOTS : 1;
        double custom = byGrowths * byRoots * (lead ? 1 : NO_LEAD) * (leaf ? 1 : NO_LEAF);
        return failing == 1 || custom == 1 ? custom : 1 / (1 + failing * (1 - custom) / custom);
    }

    /** Seasons until a piece flowers that is divided now: none for a comfortable one with a growing point. */
    public int seasons(int growths, boolean lead) {
        return (Math.max(0, comfortable - growths) + 1) / 2 + (lead ? 0 : 1);
    }

    /**
     * As this nursery's own record has it, which bears on the failures alone: the odds of failing are multiplied by its own odds of failing over
     * the guide's, between ¼ and 4.
     *
     * @param own its own rate, 0 to 1, both excluded
     * @param guide what the guide says, likewise
     */
    public Worth byRecord(double own, double guide) {
        double ratio = (1 - own) / own / ((1 - guide) / guide);
        return new Worth(
                least,
                leastChance,
                comfortable,
                comfortableChance,
                Math.max(1 / MOST_FAILING, Math.min(MOST_FAILING, ratio)));
    }
}
