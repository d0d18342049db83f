package garden.vivarium.app.batch;

import java.util.UUID;

/**
 * How a batch was done, as far as it was written down.
 *
 * @param changes how often it was changed
 * @param placeId where it stands, or stood last
 * @param stockPlantId from which its pieces were taken, or null
 * @param madeBy who stuck it, or null
 */
public record BatchFacts(
        UUID id,
        int changes,
        String code,
        HowDone done,
        Taking taking,
        Material material,
        UUID placeId,
        UUID stockPlantId,
        String madeBy) {

    public BatchFacts {
        material = material == null ? Material.UNKNOWN : material;
    }
}
