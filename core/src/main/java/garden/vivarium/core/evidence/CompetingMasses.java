package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * The likelihood of masses over the Turnbull intervals of "reached" and of "lost" and one mass "neither", and its
 * maximisation by EM with squared extrapolation (Varadhan and Roland 2008) and quadratic steps. Every record covers one run of masses of its
 * cause; a pending record covers the tails of both causes and "neither". Runs make one step cost no more than records
 * plus masses.
 */
final class CompetingMasses {

    /** Where the maximum counts as found: the steepest slope is above the mean by this share at most. */
    static final double STOP = 1e-8;

    /** The same for curves that only make up a band. */
    static final double ROUGH_STOP = 1e-5;

    private static final int MOST_STEPS = 100_000;
    private static final int FIRST_STEPS = 12;
    private static final int MOST_QUADRATIC_STEPS = 200;

    private final TurnbullIntervals reached;
    private final TurnbullIntervals lost;
    private final int size;
    private final int neither;
    // Record r covers masses [from, to) and, when pending, also [from2, to2) and "neither".
    private final int[] from;
    private final int[] to;
    private final int[] from2;
    private final boolean[] open;
    private final double[] weight;
    private final double total;
    private final double stop;

    CompetingMasses(Tallies tallies) {
        this(tallies, STOP);
    }

    CompetingMasses(Tallies tallies, double stop) {
        this.stop = stop;
        reached = TurnbullIntervals.of(tallies.counts().keySet(), Outcome.REACHED);
        lost = TurnbullIntervals.of(tallies.counts().keySet(), Outcome.LOST);
        neither = reached.size() + lost.size();
        size = neither + 1;
        List<Map.Entry<Interval, Long>> records =
                new ArrayList<>(tallies.counts().entrySet());
        from = new int[records.size()];
        to = new int[records.size()];
        from2 = new int[records.size()];
        open = new boolean[records.size()];
        weight = new double[records.size()];
        for (int r = 0; r < records.size(); r++) {
            Interval i = records.get(r).getKey();
            weight[r] = records.get(r).getValue();
            switch (i.outcome()) {
                case REACHED -> {
                    from[r] = reached.firstFrom(i.after());
                    to[r] = reached.endBy(i.by());
                }
                case LOST -> {
                    from[r] = reached.size() + lost.firstFrom(i.after());
                    to[r] = reached.size() + lost.endBy(i.by());
                }
                case GIVEN_UP, PENDING, SENT -> {
                    open[r] = true;
                    from[r] = reached.firstFrom(i.after());
                    to[r] = reached.size();
                    from2[r] = reached.size() + lost.firstFrom(i.after());
                }
            }
        }
        total = Arrays.stream(weight).sum();
    }

    TurnbullIntervals reached() {
        return reached;
    }

    TurnbullIntervals lost() {
        return lost;
    }

    /**
     * The masses at the maximum: reached, then lost, then neither. EM goes the first way, where it is quick; then steps that
     * maximise the quadratic approximation over masses not below nought, which EM would take thousands of steps for. The
     * stopping rule is EM's own, so the way taken does not matter.
     */
    double[] maximum() {
        double[] p = byEm(FIRST_STEPS);
        double[] slope = new double[size];
        double likelihood = slopes(p, slope);
        for (int step = 0; step < MOST_QUADRATIC_STEPS && !isMaximum(slope); step++) {
            double[] next = QuadraticStep.from(p, slope, total, curvature(p), this::logLikelihood, likelihood);
            double nextLikelihood = slopes(next, slope);
            if (nextLikelihood <= likelihood && !isMaximum(slope)) {
                // No more to be had this way; EM always has.
                slopes(p, slope);
                break;
            }
            p = next;
            likelihood = nextLikelihood;
        }
        return isMaximum(slope) ? p : byEm(MOST_STEPS);
    }

    double[] byEm(int mostSteps) {
        double[] p = new double[size];
        Arrays.fill(p, 1.0 / size);
        double[] slope = new double[size];
        double likelihood = slopes(p, slope);
        for (int step = 0; step < mostSteps && !isMaximum(slope); step++) {
            double[] once = stepped(p, slope);
            slopes(once, slope);
            if (isMaximum(slope)) {
                return once;
            }
            double[] twice = stepped(once, slope);
            double[] leap = extrapolated(p, once, twice);
            double leapLikelihood = slopes(leap, slope);
            if (leapLikelihood >= likelihood) {
                p = leap;
                likelihood = leapLikelihood;
            } else {
                p = twice;
                likelihood = slopes(p, slope);
            }
        }
        return p;
    }

    /** −∂²L: Σ wᵢ Aᵢⱼ Aᵢₖ/(Ap)ᵢ², by differences over the squares that each record covers. */
    double[][] curvature(double[] p) {
        double[] before = new double[size + 1];
        for (int j = 0; j < size; j++) {
            before[j + 1] = before[j] + p[j];
        }
        double[][] change = new double[size + 1][size + 1];
        for (int r = 0; r < weight.length; r++) {
            double covered = covered(before, r);
            double share = weight[r] / (covered * covered);
            addSquare(change, from[r], to[r], from[r], to[r], share);
            if (open[r]) {
                addSquare(change, from2[r], size, from2[r], size, share);
                addSquare(change, from[r], to[r], from2[r], size, share);
                addSquare(change, from2[r], size, from[r], to[r], share);
            }
        }
        for (int j = 0; j <= size; j++) {
            for (int k = 1; k <= size; k++) {
                change[j][k] += change[j][k - 1];
            }
        }
        for (int j = 1; j <= size; j++) {
            for (int k = 0; k <= size; k++) {
                change[j][k] += change[j - 1][k];
            }
        }
        return change;
    }

    private static void addSquare(double[][] change, int top, int bottom, int left, int right, double share) {
        change[top][left] += share;
        change[top][right] -= share;
        change[bottom][left] -= share;
        change[bottom][right] += share;
    }

    private double covered(double[] before, int r) {
        double covered = before[to[r]] - before[from[r]];
        if (open[r]) {
            covered += before[size] - before[from2[r]];
        }
        // Prefix sums can lose a mass that is tiny beside them; never divide by nought for it.
        return Math.max(covered, 1e-300);
    }

    /** Log-likelihood of the masses, without the constant of grouping. */
    double logLikelihood(double[] p) {
        return slopes(p, new double[size]);
    }

    /** EM's step: each mass is multiplied by its slope over the total weight, which keeps the sum at one. */
    private double[] stepped(double[] p, double[] slope) {
        double[] next = new double[size];
        for (int j = 0; j < size; j++) {
            next[j] = p[j] * slope[j] / total;
        }
        return next;
    }

    double[] extrapolated(double[] p, double[] once, double[] twice) {
        double first = 0;
        double second = 0;
        for (int j = 0; j < size; j++) {
            double r = once[j] - p[j];
            double v = twice[j] - once[j] - r;
            first += r * r;
            second += v * v;
        }
        double alpha = second == 0 ? -1 : Math.min(-1, -Math.sqrt(first / second));
        double[] leap = new double[size];
        double sum = 0;
        for (int j = 0; j < size; j++) {
            double r = once[j] - p[j];
            double v = twice[j] - once[j] - r;
            double value = p[j] - 2 * alpha * r + alpha * alpha * v;
            // A mass that EM still holds may not leap to nought: it could never come back.
            leap[j] = value > 0 ? value : twice[j] * 1e-3;
            sum += leap[j];
        }
        for (int j = 0; j < size; j++) {
            leap[j] /= sum;
        }
        return leap;
    }

    private boolean isMaximum(double[] slope) {
        return Arrays.stream(slope).max().orElse(0) / total - 1 <= stop;
    }

    /** Fills in Σ wᵢ Aᵢⱼ/(Ap)ᵢ for every mass j and gives the log-likelihood. */
    double slopes(double[] p, double[] slope) {
        double[] before = new double[size + 1];
        for (int j = 0; j < size; j++) {
            before[j + 1] = before[j] + p[j];
        }
        double[] change = new double[size + 1];
        double likelihood = 0;
        for (int r = 0; r < weight.length; r++) {
            double covered = covered(before, r);
            likelihood += weight[r] * Math.log(covered);
            double share = weight[r] / covered;
            change[from[r]] += share;
            change[to[r]] -= share;
            if (open[r]) {
                change[from2[r]] += share;
                change[size] -= share;
            }
        }
        double running = 0;
        for (int j = 0; j < size; j++) {
            running += change[j];
            slope[j] = running;
        }
        return likelihood;
    }
}
