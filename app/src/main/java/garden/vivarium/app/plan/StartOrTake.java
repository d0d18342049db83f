package garden.vivarium.app.plan;

import garden.vivarium.core.plan.WayPlan;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * Start or take, as its drawing needs it: each day to start against the least number to take.
 *
 * @param way the protocol, by key
 * @param aim what is wanted
 * @param limit pieces the stock bears, or null where nobody has counted
 * @param planned the plan so far
 * @param days from today to the day due
 */
record StartOrTake(
        UUID stock, String way, Wanted aim, LocalDate today, Integer limit, Planned planned, List<Day> days) {

    /** What is wanted, as typed; {@code sure} is in per cent. */
    record Wanted(int wanted, int perPot, LocalDate due, int sure) {}

    /** The day planned, the number planned or null where none would do, the latest safe start or null. */
    record Planned(LocalDate start, Integer take, LocalDate lastSafe) {}

    private static final int DAYS = 24;

    /** A day to start: the least number, or null where none would do. */
    record Day(LocalDate day, Integer pieces, boolean inSeason) {}

    static StartOrTake of(PlanForm form, WayRow row, Integer limit, LocalDate today) {
        WayPlan plan = row.plan();
        return new StartOrTake(
                form.stock(),
                row.protocol().key(),
                new Wanted(form.wanted(), form.perPotOrOne(), form.due(), form.sure()),
                today,
                limit,
                new Planned(
                        plan.start(),
                        plan.take().map(t -> t.pieces()).orElse(null),
                        plan.lastSafeStart().orElse(null)),
                plan.startOrTake(DAYS).stream()
                        .map(d -> new Day(
                                d.start(), d.pieces().isPresent() ? d.pieces().getAsInt() : null, d.inSeason()))
                        .toList());
    }
}
