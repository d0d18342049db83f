package garden.vivarium.app.batch;

import garden.vivarium.core.looks.Counts;
import java.time.LocalDate;

/**
 * How a batch stands by all that was seen and done.
 *
 * @param counts of its pieces
 * @param moved ready pieces that have been moved on or sent away
 * @param sentReady those of them that were sent away
 * @param youngPlants young plants that they made
 * @param settled young plants that have settled
 * @param seen what its looks tell of when
 * @param closedOn day on which nothing more could come of it, or null
 */
public record Progress(
        Counts counts, int moved, int sentReady, int youngPlants, int settled, Seen seen, LocalDate closedOn) {

    /**
     * What looks tell of when.
     *
     * @param last day of the last look, or null
     * @param lastKnowing day of the last look that could know of ready, or null
     * @param earliestReady day by which the piece that has stood ready longest was ready, or null
     * @param firmPending pieces still waiting that last felt firm
     */
    public record Seen(LocalDate last, LocalDate lastKnowing, LocalDate earliestReady, int firmPending) {

        /** Nobody has looked. */
        public static final Seen NEVER = new Seen(null, null, null, 0);
    }
}
