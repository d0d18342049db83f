package garden.vivarium.app.batch;

import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.timing.PieceCode;

/** One piece as it is drawn: where it stands, what else was noted, and whether it is in a pot. */
record PieceDetail(PieceCode code, PieceView view, Noted noted, boolean potted) {

    /** What was noted last beside the state; null where nobody said. */
    record Noted(Integer rootMm, Boolean sideRoots, Boolean topGrowth, String cause) {

        static final Noted NOTHING = new Noted(null, null, null, null);

        static Noted of(PieceReading r) {
            return new Noted(
                    r.rootMm(),
                    r.sideRoots(),
                    r.topGrowth(),
                    r.cause() == null ? null : r.cause().word());
        }

        /** What stands after a later reading: what it says, and the older where it says nothing. */
        Noted then(Noted later) {
            return new Noted(
                    later.rootMm() != null ? later.rootMm() : rootMm,
                    later.sideRoots() != null ? later.sideRoots() : sideRoots,
                    later.topGrowth() != null ? later.topGrowth() : topGrowth,
                    later.cause() != null ? later.cause() : cause);
        }
    }

    /** The name of its drawing. */
    public String drawing() {
        if (view.state() == PieceState.LOST || view.state() == PieceState.SENT) {
            return view.state().code();
        }
        return view.wasReady() ? (potted ? "potted" : "ready") : view.state().code();
    }

    public boolean leafy() {
        return Boolean.TRUE.equals(noted.topGrowth()) && !view.state().isEnd();
    }

    /** The piece in words. */
    public String words() {
        StringBuilder words = new StringBuilder(
                "%s: %s".formatted(code, potted ? "potted" : view.state().words()));
        if (noted.cause() != null && view.state() == PieceState.LOST) {
            words.append(", ").append(noted.cause());
        }
        if (noted.rootMm() != null) {
            words.append(", root ").append(noted.rootMm()).append(" mm");
        }
        if (leafy()) {
            words.append(", top growth");
        }
        if (view.byCount()) {
            words.append(", by count");
        }
        return words.toString();
    }
}
