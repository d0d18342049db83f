package garden.vivarium.core.watch;

import garden.vivarium.core.Text;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.RunningBatch;

/**
 * When to look next: the first day d after the last look on which a pending piece of this batch has become ready with a chance of
 * 0.3 or more, by what is known of the batch itself, held between the protocol's least and most days.
 *
 * @param day days since the day stuck
 * @param chance the chance on that day that a piece pending at the last look has become ready
 * @param lastLook the day of the last look that could know
 * @param isWorthIt whether the chance reaches 0.3; if not, the most days between looks decide
 */
public record NextLook(int day, double chance, int lastLook, boolean isWorthIt) {

    private static final double WORTH_A_LOOK = 0.3;

    /**
     * Finds the day.
     *
     * @param batch what is known of it, with something pending
     * @param lastLook the day of its last look that could know
     * @param least shortest time to the next look, in days, 1 and up
     * @param most longest time, in days, {@code least} and up
     */
    public static NextLook of(RunningBatch batch, int lastLook, int least, int most) {
        // The chance never falls with the day, so halving finds the first that is worth it.
        int low = lastLook;
        int high = lastLook + most;
        double last = batch.readyBy(high);
        if (last < WORTH_A_LOOK) {
            return new NextLook(high, last, lastLook, false);
        }
        while (high - low > 1) {
            int middle = (low + high) >>> 1;
            if (batch.readyBy(middle) >= WORTH_A_LOOK) {
                high = middle;
            } else {
                low = middle;
            }
        }
        int held = Math.max(high, lastLook + least);
        return new NextLook(held, batch.readyBy(held), lastLook, true);
    }

    /** How it came about. */
    public Working working() {
        return Working.of(
                "When to look next",
                Working.step(
                        "The chance that a pending piece has become ready since day %d, by all that was seen of this batch"
                                .formatted(lastLook),
                        Text.of("on day %d: %.0f%%", day, 100 * chance)),
                Working.step(
                        isWorthIt
                                ? "A look is worth it from three in ten on"
                                : "It stays under three in ten, so the protocol's longest time between looks decides",
                        "day %d".formatted(day)));
    }
}
