package garden.vivarium.core.plan;

import garden.vivarium.core.timing.Window;
import java.time.LocalDate;
import java.util.Optional;

/**
 * The days on which a batch is expected to pass its stages: what a ribbon draws as pale bands. Bands run from the tenth to
 * the ninetieth percentile of those pieces that get there.
 *
 * @param taken day cut
 * @param callus days within which wounds have dried, where there is that stage
 * @param stuck day 0
 * @param firstSign band, where there is one
 * @param ready band
 * @param settled band after the move; absent where ready is established
 */
public record Expected(
        LocalDate taken,
        Optional<Band> callus,
        LocalDate stuck,
        Optional<Band> firstSign,
        Band ready,
        Optional<Band> settled) {

    /** From one day to another, both included. */
    public record Band(LocalDate from, LocalDate to) {}

    /** The last day of the last band. */
    public LocalDate end() {
        return settled.orElse(ready).to();
    }

    /** The band of a window of days, from the day stuck. */
    static Band band(LocalDate stuck, Window days) {
        return new Band(
                stuck.plusDays(Math.round(days.d10())),
                stuck.plusDays(Math.max(Math.round(days.d10()) + 1, Math.round(days.d90()))));
    }
}
