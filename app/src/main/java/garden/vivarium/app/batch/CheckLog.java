package garden.vivarium.app.batch;

import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * All checks of a batch, in order of day and of entry, with the readings of those by piece.
 *
 * @param all checks, those taken back among them
 * @param readings by the id of their check
 */
record CheckLog(List<Check> all, Map<UUID, List<PieceReading>> readings) {

    /** The checks that were not taken back. */
    List<Check> standing() {
        return all.stream().filter(c -> !c.isWithdrawn()).toList();
    }

    /** What a check saw of single pieces; nothing of a check by count. */
    List<PieceReading> of(Check check) {
        return readings.getOrDefault(check.getId(), List.of());
    }
}
