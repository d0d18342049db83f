package garden.vivarium.core.compare;

import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/**
 * A batch that is over, with what is known of how it was done.
 *
 * @param code its label
 * @param plant of what
 * @param method by which
 * @param stuckOn when it was stuck
 * @param overOn the day of the last look that judged it
 * @param count what was kept of what was judged
 * @param ready when, as far as looks tell
 * @param facts what it was, by factor, in words that are the same for the same; none where nobody said
 * @param measures what was measured of it, in the units of each
 * @param counts as what share of itself it counts beside others that it shares much with, above 0 to 1
 */
public record FinishedBatch(
        String code,
        String plant,
        String method,
        LocalDate stuckOn,
        LocalDate overOn,
        BatchCount count,
        Tallies ready,
        Map<Factor, String> facts,
        Map<Measure, Double> measures,
        double counts) {

    public FinishedBatch {
        facts = Map.copyOf(facts);
        measures = Map.copyOf(measures);
    }

    /** A batch of which nothing was measured. */
    public FinishedBatch(
            String code,
            String plant,
            String method,
            LocalDate stuckOn,
            LocalDate overOn,
            BatchCount count,
            Tallies ready,
            Map<Factor, String> facts) {
        this(code, plant, method, stuckOn, overOn, count, ready, facts, Map.of(), 1);
    }

    /** A batch that shares nothing with others. */
    public FinishedBatch(
            String code,
            String plant,
            String method,
            LocalDate stuckOn,
            LocalDate overOn,
            BatchCount count,
            Tallies ready,
            Map<Factor, String> facts,
            Map<Measure, Double> measures) {
        this(code, plant, method, stuckOn, overOn, count, ready, facts, measures, 1);
    }

    /** The same with what was measured of it. */
    public FinishedBatch measured(Map<Measure, Double> is) {
        return new FinishedBatch(code, plant, method, stuckOn, overOn, count, ready, facts, is, counts);
    }

    /** The same, counting as a share of itself. */
    public FinishedBatch counting(double share) {
        return new FinishedBatch(code, plant, method, stuckOn, overOn, count, ready, facts, measures, share);
    }

    /** The number of independent pieces that it is worth, at an overdispersion, beside others that it shares much with. */
    double effectivePieces(double rho) {
        return counts * count.effectivePieces(rho);
    }

    /** What it was in one respect. */
    public Optional<String> is(Factor factor) {
        return switch (factor) {
            case PLANT -> Optional.of(plant);
            case METHOD -> Optional.of(method);
            default -> Optional.ofNullable(facts.get(factor));
        };
    }
}
