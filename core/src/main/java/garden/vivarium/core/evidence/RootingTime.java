package garden.vivarium.core.evidence;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.timing.Window;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How long pieces take to a milestone, among those that reach it. On the scale x = ln(days ÷ guide's median) a batch has its
 * own x ~ N(M + its own, τ²), M ~ N({@code shift}, {@code unsure}) the way's; within the batch ln(days) spreads by s:
 * F(t | x) = Φ((ln t − μ₀ − x)/s). Pieces that never reach it are no tail of this but a share of their own. The log-normal law
 * of germination and rooting times: Scott, Jones and Williams 1984; interval-censored random effects: Turnbull 1976, Gelman and
 * others, Bayesian Data Analysis, chapter 5.
 *
 * @param guideMu μ₀, ln of the guide's median in days, with what the season slows
 * @param shift M, how much slower than the guide the way is reckoned to be, in ln(days); below 0 for faster
 * @param unsure V, variance of that, 0 and up
 * @param tau τ, standard deviation of x between batches, 0 and up
 * @param within s, standard deviation of ln(days) within a batch, above 0
 * @param batches batches that say something of the way's time
 */
public record RootingTime(double guideMu, double shift, double unsure, double tau, double within, int batches) {

    /** Variance of a way's x before any batch: it may well be a quarter slower or faster than the guide says. */
    public static final double GUIDE_VARIANCE = 1.0 / 16;

    /** The usual spread between batches, which is taken out of the guide's window to leave that within them. */
    static final double USUAL_TAU = 0.2;

    private static final NormalDistribution NORMAL = new NormalDistribution();

    public RootingTime {
        if (!Double.isFinite(guideMu) || !Double.isFinite(shift)) {
            throw new IllegalArgumentException("a time needs finite days, not e^(%s + %s)".formatted(guideMu, shift));
        }
        if (!(within > 0) || !(tau >= 0) || !(unsure >= 0)) {
            throw new IllegalArgumentException(
                    "needs V ≥ 0, τ ≥ 0 and s > 0, not %s, %s and %s".formatted(unsure, tau, within));
        }
    }

    /** s₀, the spread within a batch as the guide's window has it: s₀² = max(σ₀² − 0.04, σ₀²/4). */
    public static double guideWithin(Window window) {
        double whole = window.sigma() * window.sigma();
        return Math.sqrt(Math.max(whole - USUAL_TAU * USUAL_TAU, whole / 4));
    }

    /** The guide's window, before any batch. */
    public static RootingTime ofGuide(Window window) {
        return ofGuide(window, GUIDE_VARIANCE);
    }

    /** The same where ln(days) may be off by another variance, above 0. */
    public static RootingTime ofGuide(Window window, double variance) {
        return new RootingTime(
                window.mu(),
                0,
                variance,
                SpeedSpread.withoutData().tau(),
                guideWithin(window) * WithinSpread.withoutData(),
                0);
    }

    /** Standard deviation of ln(days) of a piece of a batch of which nothing is known: √(V + τ² + s²). */
    public double sigma() {
        return Math.sqrt(unsure + tau * tau + within * within);
    }

    /** ln of the median in days: μ₀ + M. */
    public double mu() {
        return guideMu + shift;
    }

    /** Standard deviation of the next batch's x: √(V + τ²). */
    public double ofNextBatch() {
        return Math.sqrt(unsure + tau * tau);
    }

    /** Share of those that reach it that have done so by the day, over batches of all speeds; 0 at day 0. */
    public double by(double days) {
        return days <= 0 ? 0 : StandardNormal.below((Math.log(days) - mu()) / sigma());
    }

    /** F(t | x) of a batch that runs {@code away} slower than {@link #mu} says, on the scale of ln(days). */
    public double by(double days, double away) {
        return days <= 0 ? 0 : StandardNormal.below((Math.log(days) - mu() - away) / within);
    }

    /** 1 − F(t | x), exact where little is left. */
    double notBy(double days, double away) {
        return days <= 0 ? 1 : StandardNormal.below(-(Math.log(days) - mu() - away) / within);
    }

    /** The day by which the share (0 to 1, both excluded) of those that reach it have done so. */
    public double day(double share) {
        return Math.exp(mu() + sigma() * NORMAL.inverseCumulativeProbability(share));
    }

    /** The tenth to the ninetieth percentile of pieces, over batches of all speeds. */
    public Window window() {
        return new Window(day(0.1), day(0.9));
    }

    /** The median day of batches on average, nine times in ten. */
    public Window medianOnAverage() {
        return around(Math.sqrt(unsure));
    }

    /** The median day of the next batch, nine times in ten. */
    public Window medianOfNextBatch() {
        return around(ofNextBatch());
    }

    private Window around(double deviation) {
        double reach = Math.max(1e-9, deviation * NORMAL.inverseCumulativeProbability(0.95));
        return new Window(Math.exp(mu() - reach), Math.exp(mu() + reach));
    }

    /** The same time with every day multiplied by the factor (above 0), as out of season. */
    public RootingTime slowedBy(double factor) {
        return new RootingTime(guideMu + Math.log(factor), shift, unsure, tau, within, batches);
    }

    /** The same time, its median slower by so much in ln(days). */
    public RootingTime shiftedBy(double more) {
        return new RootingTime(guideMu, shift + more, unsure, tau, within, batches);
    }

    /** The time of a way whose shift is known to be that, so that batches differ by τ alone. */
    public RootingTime withShift(double known) {
        return new RootingTime(guideMu, known, 0, tau, within, batches);
    }

    /** Questions and steps of its working. */
    public enum Step implements Rule {
        /** How long to first sign. */
        TO_FIRST_SIGN,
        /** How long to ready. */
        TO_READY,
        /** The guide's {@code median} × e^{@code shift} by {@code batches} = {@code days}, unsure by e^±{@code unsure}. */
        MEDIAN,
        /** Batches spread by τ, {@code tau}; pieces of one by s, {@code within}. */
        SPREAD,
        /** One in ten, half and nine in ten: e^({@code mu} ± 1.28 × {@code sigma}), days {@code early}, {@code middle}, {@code late}. */
        DAYS
    }

    /** How the days to first sign came about. */
    public Working workingOfFirstSign() {
        return working(Step.TO_FIRST_SIGN);
    }

    /** How the days to ready came about. */
    public Working workingOfReady() {
        return working(Step.TO_READY);
    }

    private Working working(Step question) {
        return Working.of(
                Statement.of(question, "early", day(0.1), "middle", day(0.5), "late", day(0.9)),
                Statement.of(
                        Step.MEDIAN,
                        "batches",
                        batches,
                        "median",
                        Math.exp(guideMu),
                        "shift",
                        shift,
                        "days",
                        Math.exp(mu()),
                        "unsure",
                        Math.sqrt(unsure)),
                Statement.of(Step.SPREAD, "tau", tau, "within", within),
                Statement.of(
                        Step.DAYS, "mu", mu(), "sigma", sigma(), "early", day(0.1), "middle", day(0.5), "late",
                        day(0.9)));
    }
}
