package garden.vivarium.app.stock;

import garden.vivarium.app.platform.Named;
import garden.vivarium.core.stock.MayCut;

/** Whether a plant may be propagated freely. Local law decides; this only keeps it in view. */
public enum Protection implements Named {
    FREE(MayCut.Protected.FREE),
    PROTECTED(MayCut.Protected.VARIETY),
    ORIGIN(MayCut.Protected.ORIGIN);
    private final MayCut.Protected rule;

    Protection(MayCut.Protected rule) {
        this.rule = rule;
    }

    /** Whether nothing stands against propagating it. */
    public boolean isFree() {
        return this == FREE;
    }

    /** The same for the rules of cutting. */
    public MayCut.Protected rule() {
        return rule;
    }
}
