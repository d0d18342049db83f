package garden.vivarium.core.evidence;

import garden.vivarium.core.Working;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Locale;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * How long pieces take to a milestone, among those that reach it: log-normal(μ, σ) in days since the day stuck. Pieces
 * that never will are 1 − π, not a long tail. Batches differ in speed too: σ² = τ² + within, τ the spread of ln time
 * between batches. Section 4 of the design's science page.
 *
 * @param mu mean of ln(days)
 * @param sigma standard deviation of ln(days), above 0
 * @param tau standard deviation of ln(days) between batches, 0 up to below sigma
 * @param reaching π, the share that ever reach it, as this fit alone has it; 1 for the guide
 * @param guideWeight pieces that the guide's window weighs
 * @param pieces effective pieces seen to reach it
 * @param batches batches behind it
 * @param logLikelihood of the records, without the prior, natural logarithm
 */
public record RootingTime(
        double mu,
        double sigma,
        double tau,
        double reaching,
        double guideWeight,
        double pieces,
        int batches,
        double logLikelihood) {

    /** Pieces that the guide's window is worth. */
    public static final double GUIDE_PIECES = 8;

    /** Spread of ln time between batches until a nursery's own batches tell. */
    public static final double USUAL_TAU = 0.2;

    private static final NormalDistribution NORMAL = new NormalDistribution();

    public RootingTime {
        if (!(sigma > 0) || !(tau >= 0) || !(tau < sigma)) {
            throw new IllegalArgumentException("needs 0 ≤ τ < σ, not τ %s and σ %s".formatted(tau, sigma));
        }
    }

    /** The guide's window, before any batch. */
    public static RootingTime ofGuide(Window window) {
        return RootingTimeFit.fit(List.of(), window.mu(), window.sigma(), GUIDE_PIECES);
    }

    /** Share of those that reach it that have done so by the day: Φ((ln t − μ)/σ); 0 at day 0. */
    public double by(double days) {
        return days <= 0 ? 0 : StandardNormal.below((Math.log(days) - mu) / sigma);
    }

    /**
     * The same for a batch that runs {@code u} slower on the scale of ln(days): Φ((ln t − μ − u)/√(σ² − τ²)).
     */
    public double by(double days, double u) {
        return days <= 0 ? 0 : StandardNormal.below((Math.log(days) - mu - u) / Math.sqrt(sigma * sigma - tau * tau));
    }

    /** The day by which the share (0 to 1, both excluded) of those that reach it have done so. */
    public double day(double share) {
        return Math.exp(mu + sigma * NORMAL.inverseCumulativeProbability(share));
    }

    /** The tenth to the ninetieth percentile. */
    public Window window() {
        return new Window(day(0.1), day(0.9));
    }

    /** The same time with every day multiplied by the factor (above 0), as out of season. */
    public RootingTime slowedBy(double factor) {
        return new RootingTime(
                mu + Math.log(factor), sigma, tau, reaching, guideWeight, pieces, batches, logLikelihood);
    }

    /** The same time with another spread between batches. */
    public RootingTime withTau(double other) {
        return new RootingTime(mu, sigma, other, reaching, guideWeight, pieces, batches, logLikelihood);
    }

    /** How it came about, for the milestone of the given name. */
    public Working working(String milestone) {
        return Working.of(
                "How long to " + milestone,
                Working.step(
                        batches == 0
                                ? "From the guide's window alone"
                                : "The guide's window weighs %s pieces, your %d %s %s"
                                        .formatted(
                                                figure(guideWeight),
                                                batches,
                                                batches == 1 ? "batch" : "batches",
                                                figure(pieces)),
                        String.format(Locale.ROOT, "ln days ~ normal(%.3f, %.3f)", mu, sigma)),
                Working.step(
                        "One in ten, half and nine in ten of those that get there",
                        String.format(
                                Locale.ROOT,
                                "e^(%.3f − 1.28 × %.3f), e^%.3f, e^(%.3f + 1.28 × %.3f) = day %.0f, %.0f, %.0f",
                                mu,
                                sigma,
                                mu,
                                mu,
                                sigma,
                                day(0.1),
                                day(0.5),
                                day(0.9))),
                Working.step(
                        "Whole batches run faster or slower by this much",
                        String.format(Locale.ROOT, "τ = %.2f, a factor of e^±%.2f", tau, tau)));
    }

    private static String figure(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
