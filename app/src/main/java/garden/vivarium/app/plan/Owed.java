package garden.vivarium.app.plan;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** What is owed to others and has nothing under way for it: told by whoever keeps promises. */
public interface Owed {

    /**
     * Plants owed for which nothing is stuck or planned.
     *
     * @param who for whom
     * @param plant its name
     * @param stockPlant from which they could be taken, the fullest of that plant; null where there is none
     * @param lacks how many, 1 and up
     * @param due the day promised; null for a name that waits in line
     * @param sure how sure it must be, in per cent
     */
    record Line(String who, String plant, UUID stockPlant, int lacks, LocalDate due, int sure) {}

    /** All of them, the first due first. */
    List<Line> uncovered();
}
