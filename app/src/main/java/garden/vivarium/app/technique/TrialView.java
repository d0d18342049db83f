package garden.vivarium.app.technique;

import garden.vivarium.core.compare.Factor;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * A trial.
 *
 * @param asks what it asks
 * @param size how large it is
 * @param days when it was and will be what
 * @param peekedBy who looked at the arms before the end, or null
 * @param said what it came to, in words; null until it is closed
 */
record TrialView(UUID id, Asks asks, Size size, Days days, String peekedBy, String said, String person) {

    /** Of which plant, by which protocol but for the arms, in what respect, and the arms: two to four. */
    record Asks(String plant, String protocol, Factor factor, List<String> arms) {

        /** The arms as a question: one, another or a third. */
        public String title() {
            int last = arms.size() - 1;
            return String.join(", ", arms.subList(0, last)) + " or " + arms.get(last);
        }
    }

    /** Pieces an arm, trays, and the seed of the draw. */
    record Size(int perArm, int rows, int columns, int trays, long seed) {}

    /** The planned end; the day stuck, the day of a look before the end, and the day closed, each null until then. */
    record Days(LocalDate endsOn, LocalDate stuckOn, LocalDate peekedOn, LocalDate closedOn) {}
}
