package garden.vivarium.app.plan;

import java.time.LocalDate;
import java.util.UUID;

/** A plan as other modules and pages see it; {@code splitId} is common to two that stand for one aim, else null; {@code seen} is
 * the mark of its forms. */
public record PlanView(
        UUID id,
        UUID stockPlantId,
        String protocol,
        int protocolVersion,
        int youngPlants,
        int piecesPerPot,
        LocalDate due,
        double confidence,
        LocalDate startOn,
        int take,
        double chance,
        LocalDate lastSafeStart,
        PlanState state,
        String reason,
        String batchCode,
        UUID splitId,
        String seen) {

    /** The confidence asked, in per cent. */
    public int surePercent() {
        return (int) Math.round(100 * confidence);
    }
}
