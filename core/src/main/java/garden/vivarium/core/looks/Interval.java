package garden.vivarium.core.looks;

import java.util.Comparator;

/**
 * What is known of the time of one piece's milestone: it fell in {@code (after, by]}, in whole days since the day stuck.
 *
 * @param after last day on which a look that could have known found it not yet there, 0 and up
 * @param by first day on which it was there; {@link #NEVER} when pending
 * @param outcome what happened within the interval
 */
public record Interval(int after, int by, Outcome outcome) implements Comparable<Interval> {

    /** The open end of a pending interval. */
    public static final int NEVER = Integer.MAX_VALUE;

    private static final Comparator<Interval> ORDER = Comparator.comparingInt(Interval::after)
            .thenComparingInt(Interval::by)
            .thenComparing(Interval::outcome);

    public Interval {
        if (after < 0 || by <= after) {
            throw new IllegalArgumentException("an interval needs 0 ≤ after < by, not (%d, %d]".formatted(after, by));
        }
        if ((outcome == Outcome.PENDING) != (by == NEVER)) {
            throw new IllegalArgumentException("an interval is open at its end if, and only if, it is pending");
        }
    }

    /** Reached within {@code (after, by]}. */
    public static Interval reached(int after, int by) {
        return new Interval(after, by, Outcome.REACHED);
    }

    /** Lost within {@code (after, by]}. */
    public static Interval lost(int after, int by) {
        return new Interval(after, by, Outcome.LOST);
    }

    /** Neither by the day {@code after}. */
    public static Interval pending(int after) {
        return new Interval(after, NEVER, Outcome.PENDING);
    }

    @Override
    public int compareTo(Interval other) {
        return ORDER.compare(this, other);
    }
}
