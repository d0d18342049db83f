package garden.vivarium.app.bench;

import garden.vivarium.app.batch.Noted;
import garden.vivarium.app.platform.Sentence;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.measure.Length;
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

    /** The piece in a line. */
    public Sentence says() {
        boolean lost = view.state() == PieceState.LOST && noted.cause() != null;
        return Sentence.of(
                "piece.says",
                "code",
                code,
                "potted",
                potted,
                "state",
                view.state(),
                "cause",
                lost ? noted.cause().word() : "none",
                "root",
                noted.rootMm() == null ? "none" : Length.ofMillimetres(noted.rootMm()),
                "leafy",
                leafy(),
                "byCount",
                view.byCount());
    }
}
