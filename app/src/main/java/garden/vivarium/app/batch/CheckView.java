package garden.vivarium.app.batch;

import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.timing.LookKind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A check as the batch sheet's history shows it.
 *
 * @param byCount whether it was counted, not looked at piece by piece
 * @param counted what a count says; all null of a check by piece
 * @param readings readings taken with it
 */
public record CheckView(
        UUID id,
        LocalDate lookedOn,
        LookKind look,
        boolean byCount,
        Counted counted,
        int readings,
        String note,
        Written written,
        TakenBack takenBack) {

    /** Pieces counted, and what was done with some; null where nothing was said. */
    public record Counted(
            Integer firstSign,
            Integer ready,
            Integer lost,
            Integer sent,
            Integer youngPlants,
            Integer lostReady,
            LossCause cause) {}

    /** Who wrote it down, and when. */
    public record Written(String by, Instant at) {}

    /** Who took it back, and when; both null while it holds. */
    public record TakenBack(String by, Instant at) {}

    /** Whether it was taken back. */
    public boolean isWithdrawn() {
        return takenBack.at() != null;
    }
}
