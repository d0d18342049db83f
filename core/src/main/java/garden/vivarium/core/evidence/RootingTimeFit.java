package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.timing.Window;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.SimpleValueChecker;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Fits a {@link RootingTime} to interval-censored times. A piece ready in (after, by] adds ln π[F(by) − F(after)], a lost
 * or pending one ln(1 − πF(c)), each times its batch's weight; the prior adds w[−ln σ − (σ₀² + (μ−μ₀)²)/(2σ²)]. π is
 * maximised out for each (μ, σ), where the likelihood is concave in it.
 */
public final class RootingTimeFit {

    private static final double LEAST_SIGMA = 0.02;

    private RootingTimeFit() {}

    /**
     * Borrows down the levels from the guide's window, as {@link StrikeRate} does.
     *
     * @param guide the guide's window
     * @param levels batches of each level, widest first, the last being the way itself
     */
    public static RootingTime borrow(Window guide, List<? extends Collection<TimedBatch>> levels) {
        RootingTime time = RootingTime.ofGuide(guide);
        double strength = RootingTime.GUIDE_PIECES;
        double guideWeight = strength;
        double pieces = 0;
        int batches = 0;
        for (int i = 0; i < levels.size(); i++) {
            if (levels.get(i).isEmpty()) {
                continue;
            }
            RootingTime fitted = fit(levels.get(i), time.mu(), time.sigma(), strength);
            pieces += fitted.pieces();
            batches += fitted.batches();
            double whole = strength + fitted.pieces();
            double shrink = i < levels.size() - 1 ? 1 / (1 + whole / 10) : 1;
            strength = whole * shrink;
            guideWeight *= shrink;
            pieces *= shrink;
            time = new RootingTime(
                    fitted.mu(),
                    fitted.sigma(),
                    fitted.tau(),
                    fitted.reaching(),
                    guideWeight,
                    pieces,
                    batches,
                    fitted.logLikelihood());
        }
        return time;
    }

    /**
     * Fits one level.
     *
     * @param batches records; may be empty, which gives the prior back
     * @param mu0 prior mean of ln(days)
     * @param sigma0 prior standard deviation of ln(days), above 0
     * @param priorPieces w, pieces that the prior is worth, 0 for none
     */
    public static RootingTime fit(Collection<TimedBatch> batches, double mu0, double sigma0, double priorPieces) {
        Records records = new Records(batches);
        double mu = mu0;
        double sigma = sigma0;
        if (records.reached > 0) {
            PointValuePair best = new SimplexOptimizer(new SimpleValueChecker(1e-14, 1e-13))
                    .optimize(
                            new MaxEval(4000),
                            GoalType.MAXIMIZE,
                            new InitialGuess(new double[] {mu0, Math.log(sigma0)}),
                            new NelderMeadSimplex(new double[] {0.2, 0.2}),
                            new ObjectiveFunction(at -> {
                                double s = Math.exp(at[1]);
                                if (s < LEAST_SIGMA || s > 10) {
                                    return Double.NEGATIVE_INFINITY;
                                }
                                double away = at[0] - mu0;
                                double prior = priorPieces * (-at[1] - (sigma0 * sigma0 + away * away) / (2 * s * s));
                                return prior + records.logLikelihood(at[0], s);
                            }));
            mu = best.getPoint()[0];
            sigma = Math.exp(best.getPoint()[1]);
        }
        double share = records.reached > 0 ? records.bestShare(mu, sigma) : 1;
        double likelihood = records.reached > 0 ? records.logLikelihood(mu, sigma) : 0;
        // The between-batch part can be no more than the whole.
        double tau = Math.min(RootingTime.USUAL_TAU, 0.9 * sigma);
        return new RootingTime(mu, sigma, tau, share, priorPieces, records.reached, batches.size(), likelihood);
    }

    /**
     * The records of all batches as flat arrays, grouped where they share ends. Ends are few (days looked at), so Φ is
     * reckoned once a day and not once a record.
     */
    private static final class Records {
        private final double[] logDays;
        private final int[] after;
        private final int[] by;
        private final double[] weights;
        private final int[] last;
        private final double[] unreached;
        private final double reached;
        private final double[] below;
        private final double[] above;

        Records(Collection<TimedBatch> batches) {
            SortedMap<Interval, Double> times = new TreeMap<>();
            SortedMap<Integer, Double> others = new TreeMap<>();
            SortedMap<Integer, Integer> days = new TreeMap<>();
            for (TimedBatch b : batches) {
                b.tallies().counts().forEach((i, n) -> {
                    if (i.outcome() == Outcome.REACHED) {
                        times.merge(i, n * b.weight(), Double::sum);
                        days.put(i.after(), 0);
                        days.put(i.by(), 0);
                    } else if (b.lastLook() > 0) {
                        others.merge(b.lastLook(), n * b.weight(), Double::sum);
                        days.put(b.lastLook(), 0);
                    }
                });
            }
            logDays = days.keySet().stream().mapToDouble(Math::log).toArray();
            int place = 0;
            for (Map.Entry<Integer, Integer> day : days.entrySet()) {
                day.setValue(place++);
            }
            after = times.keySet().stream().mapToInt(i -> days.get(i.after())).toArray();
            by = times.keySet().stream().mapToInt(i -> days.get(i.by())).toArray();
            weights = times.values().stream().mapToDouble(Double::doubleValue).toArray();
            last = others.keySet().stream().mapToInt(days::get).toArray();
            unreached =
                    others.values().stream().mapToDouble(Double::doubleValue).toArray();
            reached = Arrays.stream(weights).sum();
            below = new double[logDays.length];
            above = new double[logDays.length];
        }

        /** The log-likelihood with π at its best. */
        double logLikelihood(double mu, double sigma) {
            double share = bestShare(mu, sigma);
            double sum = reached * Math.log(share);
            for (int i = 0; i < weights.length; i++) {
                // By the tails that do not cancel.
                double between =
                        above[after[i]] < 0.5 ? above[after[i]] - above[by[i]] : below[by[i]] - below[after[i]];
                sum += weights[i] * Math.log(Math.max(1e-300, between));
            }
            for (int i = 0; i < unreached.length; i++) {
                sum += unreached[i] * Math.log(Math.max(1e-300, 1 - share * below[last[i]]));
            }
            return sum;
        }

        /** π that maximises K ln π + Σ m ln(1 − πF(c)): where its falling slope crosses nought, or 1. */
        double bestShare(double mu, double sigma) {
            for (int d = 0; d < logDays.length; d++) {
                double z = (logDays[d] - mu) / sigma;
                below[d] = StandardNormal.below(z);
                above[d] = StandardNormal.below(-z);
            }
            // At π = 1 the slope may be infinite; just below it is not.
            double most = 1 - 1e-12;
            if (slope(most) >= 0) {
                return 1;
            }
            return new BrentSolver(1e-13, 1e-13).solve(500, this::slope, 1e-9, most);
        }

        private double slope(double share) {
            double slope = reached / share;
            for (int i = 0; i < last.length; i++) {
                slope -= unreached[i] * below[last[i]] / (1 - share * below[last[i]]);
            }
            return slope;
        }
    }
}
