package garden.vivarium.app.technique;

import garden.vivarium.core.compare.Factor;
import java.time.LocalDate;
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

    /** Of which plant, by which protocol but for the arms, in what respect, and the two arms. */
    record Asks(String plant, String protocol, Factor factor, String first, String second) {}

    /** Pieces an arm, trays, and the seed of the draw. */
    record Size(int perArm, int rows, int columns, int trays, long seed) {}

    /** The planned end; the day stuck, the day of a look before the end, and the day closed, each null until then. */
    record Days(LocalDate endsOn, LocalDate stuckOn, LocalDate peekedOn, LocalDate closedOn) {}
}
