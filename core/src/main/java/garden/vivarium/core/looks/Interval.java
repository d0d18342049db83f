package garden.vivarium.core.looks;

import java.util.Comparator;

/**
 * What is known of the time of one piece's milestone: it fell in {@code (after, by]}, in whole days since the day stuck.
 *
 * @param after last day on which a look that could have known found it not yet there, 0 and up; of a loss, the last day on
 *     which any look found it not lost
 * @param by first day on which it was there; {@link #NEVER} where the outcome is open
 * @param outcome what happened within the interval
 * @param alive of an open outcome, the last day on which any look, from above too, saw the piece not lost, {@code after} and
 *     up; of what was given up, the day it was; otherwise the same as {@code after}
 */
public record Interval(int after, int by, Outcome outcome, int alive) implements Comparable<Interval> {

    /** The end of an open interval. */
    public static final int NEVER = Integer.MAX_VALUE;

    private static final Comparator<Interval> ORDER = Comparator.comparingInt(Interval::after)
            .thenComparingInt(Interval::by)
            .thenComparing(Interval::outcome)
            .thenComparingInt(Interval::alive);

    public Interval {
        if (after < 0 || by <= after) {
            throw new IllegalArgumentException("an interval needs 0 ≤ after < by, not (%d, %d]".formatted(after, by));
        }
        if (outcome.isOpen() != (by == NEVER)) {
            throw new IllegalArgumentException("an interval has no end if, and only if, its outcome is open");
        }
        if (alive < after || (!outcome.isOpen() && alive != after)) {
            throw new IllegalArgumentException(
                    "a piece is seen alive on day %d or later, not on day %d".formatted(after, alive));
        }
    }

    /** Reached within {@code (after, by]}. */
    public static Interval reached(int after, int by) {
        return new Interval(after, by, Outcome.REACHED, after);
    }

    /** Lost within {@code (after, by]}. */
    public static Interval lost(int after, int by) {
        return new Interval(after, by, Outcome.LOST, after);
    }

    /** Neither by the day {@code after}, on which it was last looked at. */
    public static Interval pending(int after) {
        return pending(after, after);
    }

    /** Not there by the day {@code after}, and not lost by the day {@code alive}. */
    public static Interval pending(int after, int alive) {
        return new Interval(after, NEVER, Outcome.PENDING, alive);
    }

    /** Not there by the day {@code after}, and given up on the day {@code alive} without having looked lost. */
    public static Interval givenUp(int after, int alive) {
        return new Interval(after, NEVER, Outcome.GIVEN_UP, alive);
    }

    /** Not there by the day {@code after}, not lost by the day {@code alive}, and then sent away. */
    public static Interval sent(int after, int alive) {
        return new Interval(after, NEVER, Outcome.SENT, alive);
    }

    /**
     * The same where day 0 is only known within so many days before or after: it may have been that much sooner or later.
     *
     * @param days 0 and up
     */
    public Interval unsureBy(int days) {
        int since = Math.max(0, after - days);
        return outcome.isOpen()
                ? new Interval(since, NEVER, outcome, Math.max(since, alive - days))
                : new Interval(since, by + days, outcome, since);
    }

    /** The last day on which anything was seen of the piece. */
    public int lastSeen() {
        return outcome.isOpen() ? alive : by;
    }

    @Override
    public int compareTo(Interval other) {
        return ORDER.compare(this, other);
    }
}
