package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Named;
import garden.vivarium.core.stock.MayCut;

/** How a stock plant is now. */
public enum StockState implements Named {
    GROWING(MayCut.Condition.GROWING),
    IN_BUD(MayCut.Condition.IN_BUD),
    IN_FLOWER(MayCut.Condition.IN_FLOWER),
    DORMANT(MayCut.Condition.DORMANT),
    WOODY(MayCut.Condition.WOODY),
    SICK(MayCut.Condition.SICK),
    DYING(MayCut.Condition.DYING),
    RETIRED(MayCut.Condition.GONE);
    private final MayCut.Condition condition;

    StockState(MayCut.Condition condition) {
        this.condition = condition;
    }

    /** The same for the rules of cutting. */
    public MayCut.Condition condition() {
        return condition;
    }
}
