package garden.vivarium.app.bench;

import garden.vivarium.app.batch.PottedIn;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;

/**
 * What young plants really stand in, as it is typed when a move is corrected.
 *
 * @param pots whether it is asked for at all; else it stays as it was
 * @param across width of the pots in cm, or null
 * @param mix what they are filled with, or null
 * @param waterOn day of the first water, or null
 * @param feedOn day of the first feed, or null
 * @param remark whatever else, or null
 */
record StandsForm(boolean pots, BigDecimal across, String mix, LocalDate waterOn, LocalDate feedOn, String remark) {

    private static final BigDecimal LEAST_CM = BigDecimal.ONE;
    private static final BigDecimal MOST_CM = BigDecimal.valueOf(100);

    /**
     * The same pots as they really are; where they stand is told by carrying them.
     *
     * @throws InvalidField if there is no such pot
     */
    PottedIn over(PottedIn was) {
        if (!pots || (isEmpty() && was.equals(PottedIn.UNSAID))) {
            return was;
        }
        if (across != null && (across.compareTo(LEAST_CM) < 0 || across.compareTo(MOST_CM) > 0)) {
            throw new InvalidField(
                    "across", Messages.text("PotUp.number", "typed", across.toPlainString(), "least", 1, "most", 100));
        }
        return new PottedIn(
                across == null
                        ? null
                        : across.movePointRight(1)
                                .setScale(0, RoundingMode.HALF_UP)
                                .intValueExact(),
                was.perPot() == null ? 1 : was.perPot(),
                empty(mix),
                was.placeId(),
                waterOn,
                feedOn,
                empty(remark));
    }

    private boolean isEmpty() {
        return across == null && waterOn == null && feedOn == null && empty(mix) == null && empty(remark) == null;
    }

    private static String empty(String typed) {
        return typed == null || typed.isBlank() ? null : typed.strip();
    }
}
