package garden.vivarium.app.batch;

import garden.vivarium.core.timing.LookKind;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A check as the batch sheet's history shows it. */
public record CheckView(
        UUID id,
        LocalDate lookedOn,
        LookKind look,
        boolean byCount,
        Integer firstSign,
        Integer ready,
        Integer lost,
        Integer sent,
        Integer youngPlants,
        int readings,
        String note,
        String person,
        Instant madeAt,
        Instant withdrawnAt,
        String withdrawnBy) {

    /** Whether it was taken back. */
    public boolean isWithdrawn() {
        return withdrawnAt != null;
    }
}
