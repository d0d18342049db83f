package garden.vivarium.app.batch;

import garden.vivarium.core.looks.LossCause;

/** What was noted last of a piece beside its state; null where nobody said. */
public record Noted(Integer rootMm, Boolean sideRoots, Boolean topGrowth, LossCause cause) {

    /** Nothing was noted. */
    public static final Noted NOTHING = new Noted(null, null, null, null);

    /** What stands after a later reading: what it says, and the older where it says nothing. */
    Noted then(Noted later) {
        return new Noted(
                later.rootMm() != null ? later.rootMm() : rootMm,
                later.sideRoots() != null ? later.sideRoots() : sideRoots,
                later.topGrowth() != null ? later.topGrowth() : topGrowth,
                later.cause() != null ? later.cause() : cause);
    }
}
