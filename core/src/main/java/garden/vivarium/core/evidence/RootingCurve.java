package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Share of all pieces stuck that reached a milestone by day t, with losses and pending pieces done right: the
 * non-parametric maximum likelihood estimate of the cumulative incidence of "reached" and of "lost" when times are known
 * only to lie between two looks (Turnbull 1976; Hudgens, Satten and Longini 2001 for competing causes). See “The curve” in
 * docs/science.md.
 *
 * <p>Between the ends of an interval the estimate is not determined; {@link #atMost} and {@link #atLeast} bracket it.
 */
public final class RootingCurve {

    private final List<Mass> reached;
    private final List<Mass> lost;
    private final double neither;
    private final double logLikelihood;
    private final long pieces;
    private final int lastDay;

    private RootingCurve(
            List<Mass> reached, List<Mass> lost, double neither, double logLikelihood, long pieces, int lastDay) {
        this.reached = List.copyOf(reached);
        this.lost = List.copyOf(lost);
        this.neither = neither;
        this.logLikelihood = logLikelihood;
        this.pieces = pieces;
        this.lastDay = lastDay;
    }

    /**
     * A mass of probability that lies somewhere in {@code (after, by]}.
     *
     * @param after left end, days since the day stuck
     * @param by right end
     * @param share of all pieces, 0 to 1
     */
    public record Mass(int after, int by, double share) {}

    /**
     * The day by which half of those that reached the milestone had reached it, as far as looks can tell.
     *
     * @param after it lies after this day
     * @param by and by this day
     */
    public record Between(int after, int by) {}

    /**
     * Fits the curve.
     *
     * @param tallies at least one piece
     * @throws IllegalArgumentException if there is no piece
     */
    public static RootingCurve fit(Tallies tallies) {
        return fit(tallies, CompetingMasses.STOP);
    }

    /** A curve right to a ten-thousandth, which is enough for drawing bands. */
    static RootingCurve rough(Tallies tallies) {
        return fit(tallies, CompetingMasses.ROUGH_STOP);
    }

    private static RootingCurve fit(Tallies tallies, double stop) {
        if (tallies.isEmpty()) {
            throw new IllegalArgumentException("a curve needs at least one piece");
        }
        CompetingMasses masses = new CompetingMasses(tallies, stop);
        double[] p = masses.maximum();
        TurnbullIntervals r = masses.reached();
        TurnbullIntervals l = masses.lost();
        List<Mass> reached = new ArrayList<>();
        for (int j = 0; j < r.size(); j++) {
            reached.add(new Mass(r.left(j), r.right(j), p[j]));
        }
        List<Mass> lost = new ArrayList<>();
        for (int j = 0; j < l.size(); j++) {
            lost.add(new Mass(l.left(j), l.right(j), p[r.size() + j]));
        }
        return new RootingCurve(
                reached, lost, p[p.length - 1], masses.logLikelihood(p), tallies.total(), tallies.lastDay());
    }

    /** Masses of those that reached the milestone, in order of time. */
    public List<Mass> reached() {
        return reached;
    }

    /** Masses of the lost, in order of time. */
    public List<Mass> lost() {
        return lost;
    }

    /** Share that neither reached the milestone nor was lost by the last look, 0 to 1. */
    public double neither() {
        return neither;
    }

    /** The maximised log-likelihood, natural logarithm. */
    public double logLikelihood() {
        return logLikelihood;
    }

    /** Pieces behind the curve. */
    public long pieces() {
        return pieces;
    }

    /** The last day on which anything was known. */
    public int lastDay() {
        return lastDay;
    }

    /** Share that reached the milestone by the day at the least: masses that lie wholly before it. */
    public double atLeast(Outcome cause, int day) {
        return masses(cause).stream()
                .filter(m -> m.by() <= day)
                .mapToDouble(Mass::share)
                .sum();
    }

    /** Share that reached the milestone by the day at the most: masses that may have begun before it. */
    public double atMost(Outcome cause, int day) {
        return masses(cause).stream()
                .filter(m -> m.after() < day)
                .mapToDouble(Mass::share)
                .sum();
    }

    /** Share that reached the milestone by the last look. */
    public double share(Outcome cause) {
        return masses(cause).stream().mapToDouble(Mass::share).sum();
    }

    /** The median among those that reached the milestone by the last look; empty if none did. */
    public Optional<Between> median() {
        double half = share(Outcome.REACHED) / 2;
        if (half <= 0) {
            return Optional.empty();
        }
        double sum = 0;
        for (Mass m : reached) {
            sum += m.share();
            // Sums of masses carry rounding; half reached to within it is reached.
            if (sum >= half - 1e-9) {
                return Optional.of(new Between(m.after(), m.by()));
            }
        }
        throw new IllegalStateException("masses do not reach half of their own sum");
    }

    private List<Mass> masses(Outcome cause) {
        return switch (cause) {
            case REACHED -> reached;
            case LOST -> lost;
            case GIVEN_UP, PENDING, SENT ->
                throw new IllegalArgumentException("pending pieces have no curve; see neither()");
        };
    }
}
