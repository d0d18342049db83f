package garden.vivarium.app.batch;

import garden.vivarium.core.evidence.WayBatch;
import java.util.UUID;

/**
 * What is known of a batch has changed. Told in the transaction that changed it.
 *
 * @param batch its id
 * @param told all that it tells of its way, as of now
 * @param life how far it has come
 * @param first whether nothing was told of it before
 */
public record BatchJudged(UUID batch, WayBatch told, Life life, boolean first) {

    /** How far a batch has come: what sleeps tells nothing of its way yet, and of what is over nothing more can come. */
    public enum Life {
        ASLEEP,
        RUNNING,
        OVER
    }
}
