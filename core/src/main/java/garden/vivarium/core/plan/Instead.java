package garden.vivarium.core.plan;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * What could be done where an aim cannot be met by a way: fewer, later, with more material, or by another way.
 *
 * @param bears pieces that the stock can give at once
 * @param fewer the most young plants of which those are as sure as was asked, by the day due; empty where of none
 * @param chance of all that was wanted with those pieces, 0 to 1
 * @param later the first day by which those pieces would give all, as sure as was asked; empty where none would within two years
 * @param soonest the first day by which any number of pieces would give all; empty where none would within two years
 * @param inSeason the first day in season, where the start is out of it
 * @param more pieces beyond those that are needed, from a second stock plant, bought in or built up; empty where no number would do by
 *     then, so that only time helps
 */
public record Instead(
        int bears,
        OptionalInt fewer,
        double chance,
        Optional<LocalDate> later,
        Optional<LocalDate> soonest,
        Optional<LocalDate> inSeason,
        OptionalInt more) {

    /** Whether no number of pieces would ever do, in all the time there is: the way may fail altogether, and only another helps, or less certainty. */
    public boolean isTooUnsure() {
        return soonest.isEmpty() && more.isEmpty();
    }

    /** What could be done instead of a plan that cannot be. */
    public static Instead of(WayPlan plan) {
        int bears = plan.isUncounted() ? 0 : plan.piecesAtMost();
        int sure = bears == 0 ? 0 : plan.sureOf(bears);
        return new Instead(
                bears,
                sure > 0 ? OptionalInt.of(sure) : OptionalInt.empty(),
                bears == 0 ? 0 : plan.chance(bears),
                bears == 0 ? Optional.empty() : plan.earliestDue(bears),
                plan.earliestDue(plan.enough()),
                plan.nextSeason(),
                plan.take()
                        .filter(t -> t.pieces() > bears)
                        .map(t -> OptionalInt.of(t.pieces() - bears))
                        .orElse(OptionalInt.empty()));
    }
}
