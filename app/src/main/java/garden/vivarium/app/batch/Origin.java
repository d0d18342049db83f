package garden.vivarium.app.batch;

import jakarta.persistence.Embeddable;
import java.util.UUID;

/**
 * Where a batch came from; each is null where it came from elsewhere.
 *
 * @param planId the plan that it was made of
 * @param stockPlantId the stock plant that its pieces were taken from
 * @param fromBatchId the batch whose young plants were cut again
 * @param oldCode its name in the records it came from
 */
@Embeddable
public record Origin(UUID planId, UUID stockPlantId, UUID fromBatchId, String oldCode) {

    /** Nobody knows where it came from. */
    static final Origin UNKNOWN = new Origin(null, null, null, null);

    /** The same, without the name that it had in old records. */
    Origin withoutOldCode() {
        return new Origin(planId, stockPlantId, fromBatchId, null);
    }
}
