package garden.vivarium.core.watch;

import garden.vivarium.core.guide.Protocol;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where a batch stands among the stages of its protocol. A stage by days is due so many days after the one before it was
 * done; a stage that waits to be seen is asked for from its first day on, and again so many days after each "not yet". Until
 * it is done every later stage waits.
 *
 * @param next the stage that comes next; empty when all are done
 * @param due the day on which it is to be done or asked for; empty when all are done
 * @param since the day from which that is counted
 * @param clock the day from which days to first sign and ready are counted; empty while the batch sleeps
 */
public record StageClock(
        Optional<Protocol.Stage> next, Optional<LocalDate> due, LocalDate since, Optional<LocalDate> clock) {

    /**
     * What was said of a stage on a day.
     *
     * @param stage key of the stage
     * @param on the day
     * @param done whether it was done, or seen; if not, it was asked for and had not come
     */
    public record Said(String stage, LocalDate on, boolean done) {}

    /**
     * Finds where a batch stands.
     *
     * @param stages of its protocol, in order
     * @param stuckOn the day stuck
     * @param said what was said so far, in order of day
     */
    public static StageClock of(List<Protocol.Stage> stages, LocalDate stuckOn, List<Said> said) {
        Map<String, LocalDate> done = new HashMap<>();
        Map<String, LocalDate> asked = new HashMap<>();
        said.forEach(s -> (s.done() ? done : asked).put(s.stage(), s.on()));
        LocalDate since = stuckOn;
        Optional<LocalDate> clock =
                stages.stream().anyMatch(Protocol.Stage::startsClock) ? Optional.empty() : Optional.of(stuckOn);
        for (Protocol.Stage stage : stages) {
            LocalDate on = done.get(stage.key());
            if (on == null) {
                return new StageClock(
                        Optional.of(stage), Optional.of(due(stage, since, asked.get(stage.key()))), since, clock);
            }
            since = on;
            if (stage.startsClock()) {
                clock = Optional.of(on);
            }
        }
        return new StageClock(Optional.empty(), Optional.empty(), since, clock);
    }

    private static LocalDate due(Protocol.Stage stage, LocalDate since, LocalDate asked) {
        return stage.when()
                .map(w -> asked == null ? since.plusDays(w.first()) : asked.plusDays(w.every()))
                .orElseGet(() -> since.plusDays(stage.after().orElseThrow()));
    }

    /** Whether days to first sign and ready do not run yet. */
    public boolean isAsleep() {
        return clock.isEmpty();
    }
}
