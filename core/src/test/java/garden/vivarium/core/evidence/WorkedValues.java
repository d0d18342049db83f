package garden.vivarium.core.evidence;

import static garden.vivarium.core.looks.Interval.lost;
import static garden.vivarium.core.looks.Interval.pending;
import static garden.vivarium.core.looks.Interval.reached;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** Records of the design's science page that several worked values share. */
final class WorkedValues {

    /** Data 2a: one cause, ten pieces. */
    static final Tallies ONE_CAUSE = Tallies.of(List.of(
            reached(7, 14),
            reached(7, 14),
            reached(14, 21),
            reached(0, 7),
            reached(14, 21),
            reached(21, 28),
            reached(7, 21),
            pending(21),
            pending(28),
            pending(28)));

    /** Data 4a: nine pieces, all of which became ready. */
    static final Tallies ALL_READY = Tallies.of(List.of(
            reached(7, 14),
            reached(7, 14),
            reached(14, 21),
            reached(0, 7),
            reached(14, 21),
            reached(21, 28),
            reached(7, 21),
            reached(21, 35),
            reached(28, 35)));

    /** Data 2b: two causes, twenty-four pieces. */
    static final Tallies TWO_CAUSES = twoCauses();

    private WorkedValues() {}

    private static Tallies twoCauses() {
        Map<Interval, Long> counts = new TreeMap<>();
        counts.put(lost(0, 7), 2L);
        counts.put(reached(7, 14), 3L + 1);
        counts.put(reached(14, 21), 6L + 2 + 1);
        counts.put(reached(21, 28), 3L);
        counts.put(lost(7, 14), 1L);
        counts.put(lost(14, 28), 1L);
        counts.put(pending(28), 2L + 1);
        counts.put(reached(7, 21), 1L);
        return Tallies.of(counts);
    }
}
