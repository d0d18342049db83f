package garden.vivarium.app.care;

import java.util.UUID;

/**
 * What is cared for.
 *
 * @param kind a batch or a stock plant
 * @param id its id
 * @param code its label code
 * @param place where it stands
 */
public record Subject(Kind kind, UUID id, String code, UUID place) {

    /** Kinds of subject, with the address of their sheets. */
    public enum Kind {
        BATCH,
        STOCK
    }

    /** The address of its sheet. */
    public String sheet() {
        return kind == Kind.BATCH ? "/batches/" + code : "/stock/" + id;
    }
}
