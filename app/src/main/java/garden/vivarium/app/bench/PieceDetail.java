package garden.vivarium.app.bench;

import garden.vivarium.app.batch.Noted;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.timing.PieceCode;

/** One piece as it is drawn: where it stands, what else was noted, and whether it is in a pot. */
public record PieceDetail(PieceCode code, PieceView view, Noted noted, boolean potted) {

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
            words.append(", ").append(noted.cause().word());
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
