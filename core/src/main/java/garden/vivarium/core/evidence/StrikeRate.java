package garden.vivarium.core.evidence;

import garden.vivarium.core.Text;
import garden.vivarium.core.Working;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * The mean strike rate of a way, as a Beta distribution, with what is borrowed from the guide and from neighbouring ways.
 * The guide's rate counts as four pieces. A batch of n counts as n ÷ (1 + (n−1)ρ) pieces. A level that has batches adds
 * them and hands its mean on to the next at strength s ÷ (1 + s/10), s = α + β. See “Strike rate, borrowed” in docs/science.md.
 *
 * @param alpha above 0
 * @param beta above 0
 * @param rho overdispersion it was reckoned with
 * @param guideRate the guide's rate
 * @param guideWeight what is left of the guide's four pieces in the answer
 * @param shares what each level with batches weighs in the answer, in pieces, widest first
 */
public record StrikeRate(
        double alpha, double beta, double rho, double guideRate, double guideWeight, List<Share> shares) {

    /** Pieces that the guide's rate is worth. */
    public static final double GUIDE_PIECES = 4;

    private static final double HANDED_ON = 10;

    public StrikeRate {
        shares = List.copyOf(shares);
    }

    /**
     * What one level weighs in the answer.
     *
     * @param name the level's name
     * @param batches batches in it
     * @param weight pieces that it is worth in the answer
     * @param rate its own rate, kept ÷ judged after weighting
     */
    public record Share(String name, int batches, double weight, double rate) {}

    /** The rate from the guide alone. */
    public static StrikeRate ofGuide(double guideRate, double rho) {
        return of(guideRate, List.of(), rho);
    }

    /**
     * Borrows down the levels.
     *
     * @param guideRate g, 0 to 1, both excluded
     * @param levels from the widest to the closest, the last being the way itself
     * @param rho overdispersion of the nursery, 0 to 1
     */
    public static StrikeRate of(double guideRate, List<Level> levels, double rho) {
        return of(guideRate, GUIDE_PIECES, levels, rho);
    }

    /** The same where the guide's rate is worth another number of pieces, above 0. */
    static StrikeRate of(double guideRate, double guidePieces, List<Level> levels, double rho) {
        if (!(guideRate > 0) || !(guideRate < 1)) {
            throw new IllegalArgumentException("a guide rate lies between 0 and 1, not at " + guideRate);
        }
        double alpha = guidePieces * guideRate;
        double beta = guidePieces * (1 - guideRate);
        double guideWeight = guidePieces;
        List<Share> shares = new ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            Level level = levels.get(i);
            if (level.batches().isEmpty()) {
                continue;
            }
            double pieces = 0;
            double kept = 0;
            for (BatchCount batch : level.batches()) {
                double effective = batch.effectivePieces(rho);
                pieces += effective;
                kept += batch.kept() * effective / batch.of();
            }
            alpha += kept;
            beta += pieces - kept;
            shares.add(new Share(level.name(), level.batches().size(), pieces, kept / pieces));
            if (i < levels.size() - 1) {
                double s = alpha + beta;
                double shrink = 1 / (1 + s / HANDED_ON);
                alpha *= shrink;
                beta *= shrink;
                guideWeight *= shrink;
                shares.replaceAll(e -> new Share(e.name(), e.batches(), e.weight() * shrink, e.rate()));
            }
        }
        return new StrikeRate(alpha, beta, rho, guideRate, guideWeight, shares);
    }

    /** The mean, α ÷ (α + β). */
    public double mean() {
        return alpha / (alpha + beta);
    }

    /** The quantile of the mean rate, {@code probability} between 0 and 1. */
    public double quantile(double probability) {
        return new BetaDistribution(alpha, beta).inverseCumulativeProbability(probability);
    }

    /** The same evidence with another Beta(α, β), both above 0. */
    public StrikeRate withBeta(double otherAlpha, double otherBeta) {
        return new StrikeRate(otherAlpha, otherBeta, rho, guideRate, guideWeight, shares);
    }

    /** The same rate with another spread between batches, 0 (included) to 1 (excluded). */
    public StrikeRate withRho(double other) {
        return new StrikeRate(alpha, beta, other, guideRate, guideWeight, shares);
    }

    /** The rate that the next batch may have, which scatters more than the mean is unsure. */
    public NextBatch nextBatch() {
        double m = mean();
        double ofMean = m * (1 - m) / (alpha + beta + 1);
        return NextBatch.of(m, ofMean + rho * (m * (1 - m) - ofMean));
    }

    /** How it came about, level by level. */
    public Working working() {
        List<Working.Step> steps = new ArrayList<>();
        steps.add(Working.step(
                Text.of("The guide starts it: its rate, worth %.0f pieces", GUIDE_PIECES)
                        + (shares.isEmpty() ? "" : "; what is left of that here"),
                Text.of("%.0f%% × %.1f", 100 * guideRate, guideWeight)));
        for (Share s : shares) {
            steps.add(Working.step(
                    "%s: %d %s".formatted(s.name(), s.batches(), s.batches() == 1 ? "batch" : "batches"),
                    Text.of("%.0f%% × %.1f", 100 * s.rate(), s.weight())));
        }
        steps.add(Working.step("Together", Text.of("%.1f ÷ (%.1f + %.1f) = %.1f%%", alpha, alpha, beta, 100 * mean())));
        steps.add(Working.step(
                "The mean lies nine times in ten within",
                Text.of("%.0f%% to %.0f%%", 100 * quantile(0.05), 100 * quantile(0.95))));
        NextBatch next = nextBatch();
        steps.add(Working.step(
                "One batch scatters more than the mean (ρ %s): nine times in ten within"
                        .formatted(Text.of("%.3f", rho)),
                Text.of("%.0f%% to %.0f%%", 100 * next.quantile(0.05), 100 * next.quantile(0.95))));
        return new Working("How many strike", steps);
    }
}
