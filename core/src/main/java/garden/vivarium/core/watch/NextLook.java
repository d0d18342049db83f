package garden.vivarium.core.watch;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
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

    /** Question and steps of its working. */
    public enum Step implements Rule {
        /** When to look next. */
        WHEN,
        /** Since day {@code last}, the chance on day {@code day}: {@code chance}. */
        CHANCE,
        /** Worth it on day {@code day}. */
        WORTH_IT,
        /** Not worth it; the longest wait ends on day {@code day}. */
        LONGEST_WAIT
    }

    /** How it came about. */
    public Working working() {
        return Working.of(
                Statement.of(Step.WHEN, "day", day, "chance", chance, "worth", isWorthIt()),
                Statement.of(Step.CHANCE, "last", lastLook, "day", day, "chance", chance),
                Statement.of(isWorthIt ? Step.WORTH_IT : Step.LONGEST_WAIT, "day", day));
    }
}
