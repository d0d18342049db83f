package garden.vivarium.core.plan;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import java.time.LocalDate;
import java.util.Optional;

/**
 * From humid to open air by steps, so that leaves harden: a finger's width, half open by day, off. Each step is done once, in order,
 * some days after the move and after the step before it; where leaves hung at the last look, the next step waits.
 */
public final class Weaning {

    /** Days to wait after leaves were seen hanging. */
    private static final int REST_DAYS = 3;

    /** What is opened, and the earliest day after the move. */
    public enum Step implements Rule {
        /** The cover is wedged open by a finger. */
        AJAR(2),
        /** Half open by day, closed at night. */
        HALF(5),
        /** The cover comes off. */
        OFF(9);

        private final int day;

        Step(int day) {
            this.day = day;
        }

        /** Days after the move. */
        public int day() {
            return day;
        }
    }

    /**
     * A step to take.
     *
     * @param step which
     * @param due the first day on which it is due
     * @param why the reason
     */
    public record Due(Step step, LocalDate due, Statement why) {}

    /** Why a step comes when it does. */
    public enum Reason implements Rule {
        /** So many {@code days} after the move. */
        HARDENS,
        /** Leaves hung on {@code day}: it waits. */
        HUNG,
        /** So many {@code rooted} of those {@code living}: the cover can be opened before they are potted. */
        ROOTED
    }

    /** So large a share of what lives must be rooted before the cover is opened over all of it. */
    private static final double MOST = 0.7;

    private Weaning() {}

    /**
     * The next step.
     *
     * @param movedOn day of the move out of the humid place
     * @param done how many steps were taken since, 0 and up
     * @param lastDone day of the last of them; empty where none was
     * @param hungOn the last look at which leaves hung; empty where none did, or a later look saw none hang
     * @return empty when the cover is off
     */
    public static Optional<Due> next(
            LocalDate movedOn, int done, Optional<LocalDate> lastDone, Optional<LocalDate> hungOn) {
        if (done >= Step.values().length) {
            return Optional.empty();
        }
        Step step = Step.values()[done];
        int gap = done == 0 ? step.day() : step.day() - Step.values()[done - 1].day();
        LocalDate byMove = movedOn.plusDays(step.day());
        LocalDate byStep = lastDone.map(d -> d.plusDays(gap)).orElse(byMove);
        LocalDate due = byStep.isAfter(byMove) ? byStep : byMove;
        Optional<LocalDate> rested = hungOn.map(d -> d.plusDays(REST_DAYS)).filter(d -> d.isAfter(due));
        return Optional.of(new Due(
                step,
                rested.orElse(due),
                rested.isPresent()
                        ? Statement.of(Reason.HUNG, "day", hungOn.orElseThrow())
                        : Statement.of(Reason.HARDENS, "days", step.day())));
    }

    /**
     * The next step of a cover over pieces that are not potted yet: opened once most are rooted, since what has no roots cannot stand dry
     * air.
     *
     * @param rooted pieces under it that are ready, 0 and up
     * @param living all that live under it
     * @param rootedOn since when the first of them is ready
     * @param done how many steps were taken, 0 and up
     * @param lastDone day of the last of them; empty where none was
     * @return empty while fewer are rooted, or when the cover is off
     */
    public static Optional<Due> beforePotting(
            int rooted, int living, LocalDate rootedOn, int done, Optional<LocalDate> lastDone) {
        if (living < 1 || rooted < MOST * living) {
            return Optional.empty();
        }
        return next(rootedOn, done, lastDone, Optional.empty())
                .map(d -> new Due(d.step(), d.due(), Statement.of(Reason.ROOTED, "rooted", rooted, "living", living)));
    }

    /** Whether a cover, as a protocol has it in words, keeps the air humid until it is taken off: not "none" and no frame or shed. */
    public static boolean isHumid(String cover) {
        return !cover.matches("(none|open|cold frame|frame|a cool).*");
    }
}
