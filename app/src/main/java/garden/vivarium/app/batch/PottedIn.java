package garden.vivarium.app.batch;

import garden.vivarium.core.measure.Length;
import jakarta.persistence.Embeddable;
import java.time.LocalDate;
import java.util.UUID;

/**
 * What young plants stand in. What nobody said is null.
 *
 * @param acrossMm width of the pot in mm
 * @param perPot pieces in it
 * @param mix what it is filled with
 * @param placeId where it stands, if not where the batch does
 * @param waterOn day of the first water; null where it was given when they were potted
 * @param feedOn day of the first feed; null where none is to be given
 * @param remark depth, stake, top dressing and whatever else, in words
 */
@Embeddable
public record PottedIn(
        Integer acrossMm,
        Integer perPot,
        String mix,
        UUID placeId,
        LocalDate waterOn,
        LocalDate feedOn,
        String remark) {

    /** How wide the pots are; null where nobody said. */
    public Length across() {
        return acrossMm == null ? null : Length.ofCentimetres(acrossMm / 10.0);
    }

    /** Nobody said. */
    public static final PottedIn UNSAID = new PottedIn(null, null, null, null, null, null, null);

    /** The same, potted so many days later: water and feed follow. */
    PottedIn movedBy(long days) {
        return waiting(waterOn == null ? null : waterOn.plusDays(days), feedOn == null ? null : feedOn.plusDays(days));
    }

    /** The same with other days of the first water and feed, or null. */
    PottedIn waiting(LocalDate water, LocalDate feed) {
        return new PottedIn(acrossMm, perPot, mix, placeId, water, feed, remark);
    }
}
