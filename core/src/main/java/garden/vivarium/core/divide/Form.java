package garden.vivarium.core.divide;

/**
 * What a plant that is divided is made of, and what a piece of it is worth by custom before a nursery has divided any. The numbers of growths
 * are the customs of growers; the chances are this project's own round figures.
 */
public enum Form {
    /** A rhizome that creeps, a growth a season: orchids with bulbs or canes. */
    CREEPING("growth", "growths", new Worth(2, 0.75, 4, 0.95), 3),
    /** A rhizome that grows slowly, each growth with roots of its own: gingers, cast-iron plants. */
    SLOW_RHIZOME("growth", "growths", new Worth(1, 0.85, 3, 0.95), 4),
    /** Fans on a thick rhizome: bearded irises. */
    RHIZOME_FANS("fan", "fans", new Worth(1, 0.9, 2, 0.96), 5),
    /** Crowns of a clump: hostas, primulas. */
    CROWNS("crown", "crowns", new Worth(1, 0.92, 3, 0.97), 4),
    /** Fans of a clump: daylilies. */
    FANS("fan", "fans", new Worth(1, 0.9, 2, 0.96), 4),
    /** Shoots of a fibrous clump: asters, grasses. */
    SHOOTS("shoot", "shoots", new Worth(3, 0.85, 6, 0.97), 2),
    /** Eyes of a tuber. */
    EYES("eye", "eyes", new Worth(1, 0.8, 2, 0.93), 5),
    /** A bulb with its offsets. */
    BULBS("bulb", "bulbs", new Worth(1, 0.9, 2, 0.97), 5);

    private static final int[] POTS = {7, 9, 11, 13, 15, 18, 21, 25, 30};

    private final String one;
    private final String many;
    private final Worth worth;
    private final double step;

    Form(String one, String many, Worth worth, double step) {
        this.one = one;
        this.many = many;
        this.worth = worth;
        this.step = step;
    }

    /** What one of it is called. */
    public String one() {
        return one;
    }

    /** What several are called. */
    public String many() {
        return many;
    }

    /** What pieces are worth by custom. */
    public Worth worth() {
        return worth;
    }

    /** How far one is from the next, in cm; of what creeps, how far it goes in a season. */
    public double step() {
        return step;
    }

    /**
     * What a plant is made of, as most of its kind and group are.
     *
     * @param group the guide's key of the group
     * @param kind the guide's key of the kind; empty where it is not known
     */
    public static Form of(String group, String kind) {
        if (kind.contains("iris")) {
            return RHIZOME_FANS;
        }
        if (kind.contains("daylily")) {
            return FANS;
        }
        return switch (group) {
            case "clumping-orchid", "single-orchid" -> CREEPING;
            case "rhizome" -> SLOW_RHIZOME;
            case "bulb" -> BULBS;
            default -> CROWNS;
        };
    }

    /**
     * The pot of a piece: its own length and, of what creeps, room ahead for so many seasons, a cm at each side; the next of the usual sizes.
     *
     * @param growths living ones, 1 and up
     * @param seasons until it is to be moved on, 0 and up
     * @param stepCm from one growth to the next, above 0
     * @return cm across
     */
    public int potCm(int growths, int seasons, double stepCm) {
        double needed = this == CREEPING || this == RHIZOME_FANS
                ? stepCm * (growths - 1 + seasons) + 2
                : stepCm * Math.sqrt(growths * 1.5) + 2;
        for (int pot : POTS) {
            if (pot >= needed) {
                return pot;
            }
        }
        return POTS[POTS.length - 1];
    }
}
