package garden.vivarium.app.young;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.PottingView;
import garden.vivarium.core.evidence.Establishment;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * The young plants of one move, as their page shows them.
 *
 * @param place where they stand
 * @param settleBy the day by which they should have settled
 * @param looks the last first
 * @param usual how many settle whose roots grew so
 * @param came what others of their way have come to, and how long that took
 */
record YoungSheet(
        BatchView batch,
        PottingView move,
        String place,
        LocalDate settleBy,
        List<Looked> looks,
        List<Measured> measures,
        List<Marked> marks,
        Establishment usual,
        List<SettlingRecord.Milestone> came) {

    /** A look, and whether it was taken back. */
    record Looked(UUID id, YoungSeen seen, boolean settles, boolean withdrawn, String person) {}

    /** What was measured; null where it was not. */
    record Measured(UUID id, LocalDate on, Integer heightMm, Integer spreadMm, Integer leaves, String person) {}

    /** What so many had come to, so many days after the move. */
    record Marked(UUID id, YoungMark.Mark mark, LocalDate on, long days, int plants, String person) {}
}
