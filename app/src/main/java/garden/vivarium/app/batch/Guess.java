package garden.vivarium.app.batch;

import jakarta.persistence.Embeddable;

/**
 * What the grower guessed and timed; null where nobody did.
 *
 * @param hunch how many will become ready, 0 and up
 * @param minutes minutes of work
 */
@Embeddable
public record Guess(Integer hunch, Integer minutes) {

    /** Nobody guessed or timed. */
    public static final Guess NONE = new Guess(null, null);
}
