package garden.vivarium.core.evidence;

import garden.vivarium.core.Rule;
import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.BetaDistribution;

/**
 * The mean strike rate of a way, as a Beta distribution, with what is borrowed from the guide and from neighbouring ways.
 * The guide's rate counts as so many pieces as it is well known, and passes every level whole. A batch of n counts as
 * n ÷ (1 + (n−1)ρ) pieces. A level that has batches adds them, and what batches have added so far, t pieces, is handed on to the next as
 * t ÷ (1 + t/10). See “Strike rate, borrowed” in docs/science.md.
 *
 * @param alpha above 0
 * @param beta above 0
 * @param rho overdispersion it was reckoned with
 * @param guideRate the guide's rate
 * @param guideWeight pieces that the guide's rate is worth in the answer
 * @param shares what each level with batches weighs in the answer, in pieces, widest first
 */
public record StrikeRate(
        double alpha, double beta, double rho, double guideRate, double guideWeight, List<Share> shares) {

    /** Pieces that the guide's rate is worth where nobody has said how well it is known. */
    public static final double GUIDE_PIECES = 4;

    private static final double HANDED_ON = 10;

    public StrikeRate {
        shares = List.copyOf(shares);
    }

    /**
     * What one level weighs in the answer.
     *
     * @param closeness how close its batches are to what is asked
     * @param batches batches in it
     * @param weight pieces that it is worth in the answer
     * @param rate its own rate, kept ÷ judged after weighting
     */
    public record Share(Closeness closeness, int batches, double weight, double rate) {}

    /** The rate from the guide alone. */
    public static StrikeRate ofGuide(double guideRate, double rho) {
        return ofGuide(guideRate, GUIDE_PIECES, rho);
    }

    /** The same where the guide's rate is worth another number of pieces, above 0. */
    public static StrikeRate ofGuide(double guideRate, double guidePieces, double rho) {
        return of(guideRate, guidePieces, List.of(), rho);
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
    public static StrikeRate of(double guideRate, double guidePieces, List<Level> levels, double rho) {
        return ofSums(
                guideRate,
                guidePieces,
                levels.stream()
                        .map(l -> Sum.of(l.batches(), rho).at(l.closeness()))
                        .toList(),
                rho);
    }

    /**
     * What the batches of a level come to.
     *
     * @param batches how many
     * @param pieces that they are worth
     * @param kept of these
     */
    record Sum(int batches, double pieces, double kept) {

        static final Sum NONE = new Sum(0, 0, 0);

        static Sum of(List<BatchCount> counts, double rho) {
            return counts.stream().map(c -> of(c, 1, rho)).reduce(NONE, Sum::and);
        }

        /** Of one batch that counts as a share of itself. */
        static Sum of(BatchCount batch, double share, double rho) {
            double effective = share * batch.effectivePieces(rho);
            return new Sum(1, effective, batch.kept() * effective / batch.of());
        }

        Sum and(Sum other) {
            return new Sum(batches + other.batches, pieces + other.pieces, kept + other.kept);
        }

        Summed at(Closeness closeness) {
            return new Summed(closeness, this);
        }
    }

    /** A level, summed up. */
    record Summed(Closeness closeness, Sum sum) {}

    /** The same of levels that are summed up already. */
    static StrikeRate ofSums(double guideRate, double guidePieces, List<Summed> levels, double rho) {
        if (!(guideRate > 0) || !(guideRate < 1)) {
            throw new IllegalArgumentException("a guide rate lies between 0 and 1, not at " + guideRate);
        }
        double kept = 0;
        double pieces = 0;
        List<Share> shares = new ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            Sum level = levels.get(i).sum();
            if (level.batches() == 0) {
                continue;
            }
            kept += level.kept();
            pieces += level.pieces();
            shares.add(new Share(
                    levels.get(i).closeness(), level.batches(), level.pieces(), level.kept() / level.pieces()));
            if (i < levels.size() - 1) {
                double shrink = 1 / (1 + pieces / HANDED_ON);
                kept *= shrink;
                pieces *= shrink;
                shares.replaceAll(e -> new Share(e.closeness(), e.batches(), e.weight() * shrink, e.rate()));
            }
        }
        return new StrikeRate(
                guidePieces * guideRate + kept,
                guidePieces * (1 - guideRate) + pieces - kept,
                rho,
                guideRate,
                guidePieces,
                shares);
    }

    /** The mean, α ÷ (α + β). */
    public double mean() {
        return alpha / (alpha + beta);
    }

    /** The quantile of the mean rate, {@code probability} between 0 and 1. */
    public double quantile(double probability) {
        return new BetaDistribution(alpha, beta).inverseCumulativeProbability(probability);
    }

    /** Nineteen times in twenty it is more. */
    public double low() {
        return quantile(0.05);
    }

    /** Nineteen times in twenty it is less. */
    public double high() {
        return quantile(0.95);
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

    /** Question and steps of its working; each closeness of evidence is a step too. */
    public enum Step implements Rule {
        /**
         * How many strike, by {@code own} batches of the way and what is near: {@code mean}, on average over many batches from
         * {@code low} to {@code high}, in the next from {@code nextLow} to {@code nextHigh}.
         */
        HOW_MANY,
        /** The guide's {@code rate}, worth {@code pieces}, weighs {@code weight} here; whether {@code alone}. */
        GUIDE,
        /** {@code batches} so close, at {@code rate}, weigh {@code weight} pieces. */
        NEIGHBOURS,
        OTHER_GROUPS,
        OTHER_PLANTS,
        SAME_KIND,
        OTHER_WAYS,
        OTHER_SEASON,
        THIS_WAY,
        THIS_STOCK_PLANT,
        OWN_BATCHES,
        /** Together: α {@code alpha} and β {@code beta} make {@code mean}. */
        TOGETHER,
        /** The mean lies nine times in ten within {@code low} and {@code high}. */
        MEAN_WITHIN,
        /** One batch scatters by ρ, {@code rho}: nine times in ten within {@code low} and {@code high}. */
        BATCH_WITHIN
    }

    /** How it came about, level by level. */
    public Working working() {
        List<Statement> steps = new ArrayList<>();
        steps.add(Statement.of(
                Step.GUIDE,
                "pieces",
                guideWeight,
                "alone",
                shares.isEmpty(),
                "rate",
                guideRate,
                "weight",
                guideWeight));
        for (Share s : shares) {
            steps.add(Statement.of(
                    Step.valueOf(s.closeness().name()),
                    "batches",
                    s.batches(),
                    "rate",
                    s.rate(),
                    "weight",
                    s.weight()));
        }
        steps.add(Statement.of(Step.TOGETHER, "alpha", alpha, "beta", beta, "mean", mean()));
        steps.add(Statement.of(Step.MEAN_WITHIN, "low", quantile(0.05), "high", quantile(0.95)));
        NextBatch next = nextBatch();
        steps.add(Statement.of(Step.BATCH_WITHIN, "rho", rho, "low", next.quantile(0.05), "high", next.quantile(0.95)));
        int own = shares.stream()
                .filter(s -> s.closeness().isOwnWay())
                .mapToInt(Share::batches)
                .sum();
        return new Working(
                Statement.of(
                        Step.HOW_MANY,
                        "own",
                        own,
                        "mean",
                        mean(),
                        "low",
                        quantile(0.05),
                        "high",
                        quantile(0.95),
                        "nextLow",
                        next.quantile(0.05),
                        "nextHigh",
                        next.quantile(0.95)),
                steps);
    }
}
