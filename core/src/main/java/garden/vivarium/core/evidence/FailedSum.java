package garden.vivarium.core.evidence;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.Collection;
import java.util.Map;
import java.util.TreeMap;

/**
 * The failures of finished batches of one way, summed: how much of what failed was seen lost by any day. A loss that straddles the
 * day counts for the part of its {@code (after, by]} before it. A batch counts as its effective pieces do.
 */
final class FailedSum {

    private final int batches;
    private final double pieces;
    private final double[] after;
    private final double[] by;
    private final double[] lost;

    private FailedSum(int batches, double pieces, Map<Double, Map<Double, Double>> lost) {
        this.batches = batches;
        this.pieces = pieces;
        int all = lost.values().stream().mapToInt(Map::size).sum();
        this.after = new double[all];
        this.by = new double[all];
        this.lost = new double[all];
        int i = 0;
        for (Map.Entry<Double, Map<Double, Double>> from : lost.entrySet()) {
            for (Map.Entry<Double, Double> to : from.getValue().entrySet()) {
                after[i] = from.getKey();
                by[i] = to.getKey();
                this.lost[i++] = to.getValue();
            }
        }
    }

    /**
     * Of batches.
     *
     * @param tallies of ready, of each; those of which nothing failed say nothing
     * @param rho overdispersion of the nursery, 0 to 1
     */
    static FailedSum of(Collection<Tallies> tallies, double rho) {
        int batches = 0;
        double pieces = 0;
        Map<Double, Map<Double, Double>> lost = new TreeMap<>();
        for (Tallies t : tallies) {
            long failed = t.total(Outcome.LOST) + t.total(Outcome.GIVEN_UP);
            if (failed == 0) {
                continue;
            }
            double effective = new BatchCount(0, failed).effectivePieces(rho);
            batches++;
            pieces += effective;
            for (Map.Entry<Interval, Long> e : t.with(Outcome.LOST).entrySet()) {
                lost.computeIfAbsent((double) e.getKey().after(), a -> new TreeMap<>())
                        .merge((double) e.getKey().by(), e.getValue() * effective / failed, Double::sum);
            }
        }
        return new FailedSum(batches, pieces, lost);
    }

    /** Whether any piece failed. */
    boolean isAny() {
        return batches > 0;
    }

    /** What was seen lost by the day, of all that failed. */
    StrikeRate.Sum by(double day) {
        double shown = 0;
        for (int i = 0; i < lost.length; i++) {
            shown += lost[i] * Math.max(0, Math.min(1, (day - after[i]) / (by[i] - after[i])));
        }
        return new StrikeRate.Sum(batches, pieces, shown);
    }
}
