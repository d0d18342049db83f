package garden.vivarium.app.batch;

import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.UUID;

/**
 * Pieces moved on; {@code settled} is null until somebody has looked.
 *
 * @param lost young plants lost in their pots since
 */
public record PottingView(
        UUID id,
        UUID batchId,
        LocalDate movedOn,
        int pieces,
        int youngPlants,
        Integer settled,
        LocalDate settledOn,
        Lost lost) {

    /** Young plants lost before and after they had settled, and of what they were lost last, or null. */
    public record Lost(int unsettled, int settled, LossCause cause) {

        /** All of them. */
        public int all() {
            return unsettled + settled;
        }
    }

    /** Young plants that may still be said to have settled. */
    public int maySettle() {
        return youngPlants - lost.unsettled();
    }
}
