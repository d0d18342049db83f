package garden.vivarium.app.young;

import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;

/**
 * What a look at young plants saw.
 *
 * @param holds that hold when they are touched
 * @param growing that grow
 * @param wobbles that are still loose
 * @param hanging whose leaves hang
 * @param lost since the look before
 * @param cause of what, or null
 * @param note in words, or null
 */
record YoungSeen(
        LocalDate day, int holds, int growing, int wobbles, int hanging, int lost, LossCause cause, String note) {

    int all() {
        return holds + growing + wobbles + hanging + lost;
    }

    /** Settled: they hold, or grow. */
    int settled() {
        return holds + growing;
    }
}
