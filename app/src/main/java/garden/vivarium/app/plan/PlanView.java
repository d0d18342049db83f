package garden.vivarium.app.plan;

import garden.vivarium.core.plan.Aim;
import garden.vivarium.core.plan.DayAsked;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A plan as other modules and pages see it.
 *
 * @param stockPlantId the stock plant it is cut from
 * @param protocol the protocol chosen, by key
 * @param protocolVersion which version of it
 * @param aim what is wanted
 * @param until what the young plants are to be by the day due
 * @param start when to cut how many
 * @param standing what became of it
 * @param seen the mark of its forms
 */
public record PlanView(
        UUID id,
        UUID stockPlantId,
        String protocol,
        int protocolVersion,
        Aim aim,
        DayAsked until,
        Start start,
        Standing standing,
        String seen) {

    /**
     * When to cut how many.
     *
     * @param on day of cutting
     * @param take pieces to cut
     * @param chance that the aim is met so
     * @param lastSafe last day on which it is as sure as asked; null where there is none
     * @param reason why the grower chose so; null where nothing was said
     */
    public record Start(LocalDate on, int take, double chance, LocalDate lastSafe, String reason) {}

    /**
     * What became of it.
     *
     * @param batchCode the batch stuck from it, or null
     * @param splitId common to two that stand for one aim, else null
     */
    public record Standing(PlanState state, String batchCode, UUID splitId) {}

    /** The confidence asked, in per cent. */
    public int surePercent() {
        return (int) Math.round(100 * aim.confidence());
    }
}
