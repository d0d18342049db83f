package garden.vivarium.app.stock;

import garden.vivarium.core.stock.MayCut;

/** How a stock plant is now. */
public enum StockState {
    GROWING("growing", MayCut.Condition.GROWING),
    IN_BUD("in bud", MayCut.Condition.IN_BUD),
    IN_FLOWER("in flower", MayCut.Condition.IN_FLOWER),
    DORMANT("dormant", MayCut.Condition.DORMANT),
    WOODY("woody", MayCut.Condition.WOODY),
    SICK("sick", MayCut.Condition.SICK),
    DYING("dying", MayCut.Condition.DYING),
    RETIRED("spent or retired", MayCut.Condition.GONE);

    private final String words;
    private final MayCut.Condition condition;

    StockState(String words, MayCut.Condition condition) {
        this.words = words;
        this.condition = condition;
    }

    public String words() {
        return words;
    }

    /** The same for the rules of cutting. */
    public MayCut.Condition condition() {
        return condition;
    }
}
