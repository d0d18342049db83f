package garden.vivarium.app.bench;

import garden.vivarium.app.batch.PottedIn;
import garden.vivarium.app.platform.Measures;
import garden.vivarium.core.measure.Unit;
import java.time.LocalDate;

/**
 * What young plants really stand in, as it is typed when a move is corrected.
 *
 * @param pots whether it is asked for at all; else it stays as it was
 * @param across width of the pots in the unit of whoever typed it, or null
 * @param mix what they are filled with, or null
 * @param waterOn day of the first water, or null
 * @param feedOn day of the first feed, or null
 * @param remark whatever else, or null
 */
record StandsForm(boolean pots, String across, String mix, LocalDate waterOn, LocalDate feedOn, String remark) {

    private static final double MOST_CM = 100;

    /**
     * The same pots as they really are; where they stand is told by carrying them.
     *
     * @throws InvalidField if there is no such pot
     */
    PottedIn over(PottedIn was, Measures measures) {
        if (!pots || (isEmpty() && was.equals(PottedIn.UNSAID))) {
            return was;
        }
        return new PottedIn(
                empty(across) == null
                        ? null
                        : (int) Math.round(10 * measures.within("across", across, Unit.CENTIMETRE, 1, MOST_CM)),
                was.perPot() == null ? 1 : was.perPot(),
                empty(mix),
                was.placeId(),
                waterOn,
                feedOn,
                empty(remark));
    }

    private boolean isEmpty() {
        return empty(across) == null
                && waterOn == null
                && feedOn == null
                && empty(mix) == null
                && empty(remark) == null;
    }

    private static String empty(String typed) {
        return typed == null || typed.isBlank() ? null : typed.strip();
    }
}
