package garden.vivarium.app.batch;

import java.time.LocalDate;
import java.util.UUID;

/**
 * Where a batch stood.
 *
 * @param pieces how many of it; null for all of it
 * @param cells which of its cells, in words; null where nobody said
 * @param until null while it stands there
 */
public record StandView(
        UUID id, String place, Integer pieces, String cells, LocalDate since, LocalDate until, String person) {

    /** Whether some of its pieces stand there now, apart from the others. */
    public boolean isPart() {
        return pieces != null && until == null;
    }
}
