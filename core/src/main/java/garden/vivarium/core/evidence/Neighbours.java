package garden.vivarium.core.evidence;

import garden.vivarium.core.treatment.Treatments;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What other nurseries have given away of their ways: batches without names, as a level of evidence of its own between the guide and the
 * nursery's own. How far they count is learned: where both have done a way, their log-odds differ by N(0, v + σ²) with v from
 * the counts, and σ² is what is left of the squares over v (method of moments; DerSimonian, Laird, Control. Clin. Trials 7 (1986)
 * 177), with a prior of σ = 0.5 worth two ways. m effective pieces of neighbours at q then are worth m ÷ (1 + m·q(1 − q)·σ²).
 */
public final class Neighbours {

    /** Nobody gave anything. */
    public static final Neighbours NONE = new Neighbours(List.of());

    private static final double PRIOR_VARIANCE = 0.25;
    private static final double PRIOR_WAYS = 2;

    /** Fewer effective pieces on a side tell nothing of agreement. */
    private static final double FEWEST_PIECES = 4;

    private final List<Given> given;

    private Neighbours(List<Given> given) {
        this.given = List.copyOf(given);
    }

    /** What was given. */
    public static Neighbours of(List<Given> given) {
        return given.isEmpty() ? NONE : new Neighbours(given);
    }

    /**
     * A way that one nursery has given.
     *
     * @param kind key of the kind of plant; empty where it is not known, and then the group is asked
     * @param group key of the plant group
     * @param method the guide's name
     * @param medium the guide's name
     * @param treatment what is done to the pieces
     * @param batches its finished batches, in season
     */
    public record Given(
            String kind, String group, String method, String medium, Treatments treatment, List<BatchCount> batches) {

        public Given {
            batches = List.copyOf(batches);
        }

        boolean isAs(Way way) {
            return method.equals(way.method())
                    && medium.equals(way.medium())
                    && treatment.equals(way.treatment())
                    && ((kind.isEmpty() || way.kind().isEmpty()) ? group.equals(way.group()) : kind.equals(way.kind()));
        }
    }

    /** Whether nobody gave anything. */
    public boolean isEmpty() {
        return given.isEmpty();
    }

    /** All of what was given. */
    public List<Given> given() {
        return given;
    }

    /** Neighbours' batches of a way: how many, and what they come to in pieces as they are. */
    public record Beside(int batches, double pieces, double kept) {}

    /** What neighbours have done of a way; empty where nobody gave any of it. */
    public Optional<Beside> beside(Way way) {
        StrikeRate.Sum all = sum(way, 0);
        return all.batches() == 0 ? Optional.empty() : Optional.of(new Beside(all.batches(), all.pieces(), all.kept()));
    }

    /** What neighbours' batches of a way come to, at an overdispersion; without pieces where there are none. */
    StrikeRate.Sum sum(Way way, double rho) {
        return StrikeRate.Sum.of(
                given.stream()
                        .filter(g -> g.isAs(way))
                        .flatMap(g -> g.batches().stream())
                        .toList(),
                rho);
    }

    /**
     * How far they and this nursery differ on ways that both have done: σ², on the scale of log-odds.
     *
     * @param own what this nursery's finished batches of a way come to, for each way with any
     */
    double disagreement(Stream<OwnWay> own, double rho) {
        List<double[]> both = new ArrayList<>();
        own.forEach(o -> {
            StrikeRate.Sum theirs = sum(o.way(), rho);
            if (theirs.pieces() >= FEWEST_PIECES && o.sum().pieces() >= FEWEST_PIECES) {
                double apart = logOdds(o.sum()) - logOdds(theirs);
                both.add(new double[] {apart * apart, variance(o.sum()) + variance(theirs)});
            }
        });
        double weights = PRIOR_WAYS;
        double squares = PRIOR_WAYS * PRIOR_VARIANCE;
        for (double[] b : both) {
            // A way of few pieces says little of it: as much as its counts leave over.
            double weight = PRIOR_VARIANCE / (PRIOR_VARIANCE + b[1]);
            weights += weight;
            squares += weight * (b[0] - b[1]);
        }
        return Math.max(0.01, squares / weights);
    }

    /** A way of this nursery and what its finished batches come to. */
    record OwnWay(Way way, StrikeRate.Sum sum) {}

    /** The level that they make for a way: none where nobody gave any of it. */
    Optional<StrikeRate.Summed> level(Way way, double rho, double disagreement) {
        StrikeRate.Sum sum = sum(way, rho);
        if (sum.batches() == 0) {
            return Optional.empty();
        }
        double q = (sum.kept() + 0.5) / (sum.pieces() + 1);
        double worth = sum.pieces() / (1 + sum.pieces() * q * (1 - q) * disagreement);
        return Optional.of(
                new StrikeRate.Sum(sum.batches(), worth, worth * sum.kept() / sum.pieces()).at(Closeness.NEIGHBOURS));
    }

    private static double logOdds(StrikeRate.Sum sum) {
        return Math.log((sum.kept() + 0.5) / (sum.pieces() - sum.kept() + 0.5));
    }

    private static double variance(StrikeRate.Sum sum) {
        return 1 / (sum.kept() + 0.5) + 1 / (sum.pieces() - sum.kept() + 0.5);
    }
}
