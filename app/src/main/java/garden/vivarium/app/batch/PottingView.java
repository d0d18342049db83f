package garden.vivarium.app.batch;

import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Pieces moved on; {@code settled} is null until somebody has looked.
 *
 * @param lost young plants that left their pots since
 * @param stands what they were potted into, as far as somebody said so
 */
public record PottingView(
        UUID id,
        UUID batchId,
        LocalDate movedOn,
        int pieces,
        int youngPlants,
        Integer settled,
        LocalDate settledOn,
        Left lost,
        PottedIn stands) {

    /**
     * Young plants that left their pots, before and after they had settled: lost, and of what last (or null), and sent away.
     */
    public record Left(int unsettled, int settled, LossCause cause, int sentUnsettled, int sentSettled) {

        /** All that were lost. */
        public int all() {
            return unsettled + settled;
        }

        /** All that were sent away. */
        public int sent() {
            return sentUnsettled + sentSettled;
        }
    }

    /** Whether its pieces went into no pots, and only a remark says where. */
    public boolean isElsewhere() {
        return stands.acrossMm() == null && youngPlants == 0 && stands.remark() != null;
    }

    /** Young plants of it that stand here still. */
    public int standing() {
        return settled == null ? maySettle() : settled - lost.settled() - lost.sentSettled();
    }

    /** Young plants that may still be said to have settled. */
    public int maySettle() {
        return youngPlants - lost.unsettled() - lost.sentUnsettled();
    }
}
