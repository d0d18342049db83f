package garden.vivarium.app.plan;

import garden.vivarium.core.plan.WayPlan;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * Start or take, as its drawing needs it: each day to start against the least number to take.
 *
 * @param limit pieces the stock bears, or null where nobody has counted
 * @param start the day planned
 * @param take the number planned, or null where none would do
 * @param lastSafe the latest safe start, or null
 */
record StartOrTake(
        UUID stock,
        String way,
        int wanted,
        int perPot,
        LocalDate due,
        int sure,
        LocalDate today,
        Integer limit,
        LocalDate start,
        Integer take,
        LocalDate lastSafe,
        List<Day> days) {

    private static final int DAYS = 24;

    /** A day to start: the least number, or null where none would do. */
    record Day(LocalDate day, Integer pieces, boolean inSeason) {}

    static StartOrTake of(PlanForm form, WayRow row, Integer limit, LocalDate today) {
        WayPlan plan = row.plan();
        return new StartOrTake(
                form.stock(),
                row.protocol().key(),
                form.wanted(),
                form.perPotOrOne(),
                form.due(),
                form.sure(),
                today,
                limit,
                plan.start(),
                plan.take().map(t -> t.pieces()).orElse(null),
                plan.lastSafeStart().orElse(null),
                plan.startOrTake(DAYS).stream()
                        .map(d -> new Day(
                                d.start(), d.pieces().isPresent() ? d.pieces().getAsInt() : null, d.inSeason()))
                        .toList());
    }
}
