package garden.vivarium.core.compare;

import java.util.Optional;

/** What batches may differ in, and a grower may ask about. */
public enum Factor {
    /** What pieces are stuck in. */
    MEDIUM,
    /** Which method. */
    METHOD,
    /** Which hormone, or none. */
    HORMONE,
    /** What else was done to pieces, or nothing. */
    TREATMENT,
    /** Days between taken and stuck. */
    DRIED,
    /** Kind of piece. */
    PIECE,
    /** Length of piece. */
    LENGTH,
    /** Nodes of a piece. */
    NODES,
    /** Season of sticking. */
    SEASON,
    /** How the stock plant was. */
    CONDITION,
    /** Warmth from below, or none. */
    BASE,
    /** Where they stood. */
    PLACE,
    /** From which stock plant. */
    STOCK_PLANT,
    /** Who stuck them. */
    PERSON,
    /** Which version of a protocol. */
    VERSION,
    /** Of which plant: never a question, but what may differ beside one. */
    PLANT;

    /** What its value is called where none was given; empty where there is no such thing. */
    public Optional<String> none() {
        return switch (this) {
            case HORMONE -> Optional.of("no hormone");
            case TREATMENT -> Optional.of("nothing else");
            default -> Optional.empty();
        };
    }

    /** Whether it may explain a difference in something else: a version of another protocol is only another name for what differs. */
    public boolean mayExplain() {
        return this != PLANT && this != VERSION;
    }

    /** Whether a way of the guide says it, so that a plan can go by it. */
    public boolean isOfAWay() {
        return switch (this) {
            case MEDIUM, METHOD, HORMONE, TREATMENT -> true;
            default -> false;
        };
    }

    /** Whether a grower asks about it; a plant is what is asked of. */
    public boolean isQuestion() {
        return this != PLANT;
    }
}
