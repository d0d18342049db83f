package garden.vivarium.core.evidence;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * {@link FailuresShown} from a nursery's finished batches, a rate like any other: of a batch's failures those seen lost by the
 * day, of a loss that straddles the day the part of its {@code (after, by]} before it. Before any batch its mean is F̄(c)/4, F̄ the
 * share of ready times that lie before the day, worth two pieces: low on purpose, for a promise must not rest on failures
 * showing themselves. Borrowed down the levels and weighted as a strike rate.
 */
final class ShownByRecord implements FailuresShown {

    private static final double PRIOR_PIECES = 2;
    private static final double PART_OF_READY = 0.25;

    private final RootingTime ready;
    private final List<List<Failed>> levels;
    private final double rho;
    private final Map<Double, NextBatch> known = new ConcurrentHashMap<>();
    private final Map<Double, double[]> values = new ConcurrentHashMap<>();

    /**
     * Failures shown.
     *
     * @param ready time to ready of the way asked about, with its season
     * @param levels failures of finished batches from the widest level to the closest, one sum for each way
     * @param rho overdispersion of the nursery
     */
    ShownByRecord(RootingTime ready, List<List<Failed>> levels, double rho) {
        this.ready = ready;
        this.levels = levels;
        this.rho = rho;
    }

    /**
     * The failures of finished batches of one way.
     *
     * @param sum of them
     * @param days what a day of the way asked about is in theirs: the ratio of the medians by the guide, seasons included
     */
    record Failed(FailedSum sum, double days) {}

    /** Of the nursery's own batches, from the widest to the closest. */
    private static final List<Closeness> LEVELS = List.of(
            Closeness.OTHER_GROUPS,
            Closeness.OTHER_PLANTS,
            Closeness.SAME_KIND,
            Closeness.OTHER_WAYS,
            Closeness.OTHER_SEASON,
            Closeness.THIS_WAY);

    /** What is known of the mean share by a day. */
    StrikeRate mean(double day) {
        double prior = Math.max(LEAST, Math.min(1 - LEAST, ready.by(day) * PART_OF_READY));
        List<StrikeRate.Summed> summed = new ArrayList<>();
        for (int i = 0; i < levels.size(); i++) {
            StrikeRate.Sum level = StrikeRate.Sum.NONE;
            for (Failed f : levels.get(i)) {
                level = level.and(f.sum().by(day * f.days()));
            }
            summed.add(level.at(LEVELS.get(i)));
        }
        return StrikeRate.ofSums(prior, PRIOR_PIECES, summed, rho);
    }

    @Override
    public NextBatch by(double day) {
        return known.computeIfAbsent(day, d -> mean(d).nextBatch());
    }

    @Override
    public double[] values(double day) {
        return values.computeIfAbsent(day, FailuresShown.super::values);
    }
}
