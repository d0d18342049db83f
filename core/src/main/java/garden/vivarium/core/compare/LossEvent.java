package garden.vivarium.core.compare;

import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;

/**
 * Pieces of a batch that a look found lost.
 *
 * @param batch its label
 * @param way plant, method and medium in words
 * @param place where it stands, or stood last
 * @param stuckOn day 0
 * @param after the look before, or day 0: they were lost after it
 * @param on the look that found them
 * @param cause why; unknown where nobody said
 * @param pieces how many, 1 and up
 */
public record LossEvent(
        String batch,
        String way,
        String place,
        LocalDate stuckOn,
        LocalDate after,
        LocalDate on,
        LossCause cause,
        int pieces) {

    public LossEvent {
        if (pieces < 1) {
            throw new IllegalArgumentException("a loss has pieces, not " + pieces);
        }
    }
}
