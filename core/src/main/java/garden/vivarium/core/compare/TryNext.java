package garden.vivarium.core.compare;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The questions of a nursery that are open, by what an answer would be worth a year beside what it would cost. What is known of a difference is normal with the
 * mean and the interval that the record gives, drawn towards none (standard deviation 0.15 before anything is known), and wider by as much again where something else went
 * along with it; a trial of a tray a side narrows it, and its
 * worth is what one would gain by going over whenever it says so: the value of sample information with a linear loss, Raiffa and Schlaifer, Applied
 * Statistical Decision Theory (1961), ch. 5.
 *
 * @param plant of which
 * @param asked which two
 * @param usual what most of last year's pieces were
 * @param aYear pieces of that plant and method a year, by the last one
 * @param worth young plants a year that an answer would bring on average
 * @param pieces that a trial of it costs
 * @param batches on each side so far
 */
public record TryNext(
        String plant, Comparison.Asked asked, String usual, double aYear, double worth, int pieces, int batches) {

    private static final NormalDistribution NORMAL = new NormalDistribution();
    private static final double BEFORE = 0.15;
    private static final double TEN_TO_NINETY = 2 * 1.644853627;
    private static final int TRAYS = 4;
    private static final int FEWEST_AN_ARM = 6;
    private static final double LEAST = 1;
    private static final int MOST = 8;

    /** Young plants brought for each piece that the trial takes. */
    public double each() {
        return worth / pieces;
    }

    /**
     * Ranks them.
     *
     * @param all finished batches
     * @param rho how alike pieces of one batch are
     * @param sharing what batches were found to share
     * @param today until which a year is counted
     */
    public static List<TryNext> of(List<FinishedBatch> all, double rho, Sharing sharing, LocalDate today) {
        Map<String, List<FinishedBatch>> byPlant =
                new TreeMap<>(all.stream().collect(Collectors.groupingBy(FinishedBatch::plant)));
        List<TryNext> found = new ArrayList<>();
        byPlant.forEach((plant, batches) -> {
            double aYear = batches.stream()
                    .filter(b -> b.stuckOn().isAfter(today.minusYears(1)))
                    .mapToDouble(b -> b.count().of())
                    .sum();
            if (aYear > 0) {
                for (Factor factor : Factor.values()) {
                    if (factor.isQuestion() && factor.isOfAWay()) {
                        one(new Known(plant, batches, aYear), factor, rho, sharing)
                                .ifPresent(found::add);
                    }
                }
            }
        });
        return found.stream()
                .filter(t -> t.worth() >= LEAST)
                .sorted(Comparator.comparingDouble(TryNext::each).reversed())
                .limit(MOST)
                .toList();
    }

    private record Known(String plant, List<FinishedBatch> batches, double aYear) {}

    private static Optional<TryNext> one(Known known, Factor factor, double rho, Sharing sharing) {
        List<FinishedBatch> batches = known.batches();
        double aYear = known.aYear();
        List<Comparison.Tried> tried = Comparison.tried(factor, batches);
        if (tried.size() < 2) {
            return Optional.empty();
        }
        Comparison.Asked asked =
                new Comparison.Asked(factor, tried.get(0).value(), tried.get(1).value());
        Comparison c = Comparison.of(asked, batches, rho, sharing);
        if (c.verdict() == Comparison.Verdict.FIRST
                || c.verdict() == Comparison.Verdict.SECOND
                || c.verdict() == Comparison.Verdict.ALIKE) {
            return Optional.empty();
        }
        double size = Math.max(
                6,
                Math.min(
                        40,
                        batches.stream()
                                .mapToDouble(b -> b.count().of())
                                .average()
                                .orElse(20)));
        // Nobody gives more than half a year's pieces to a trial.
        int arm = (int) Math.round(Math.min(TRAYS * size / 2, aYear / 4));
        if (arm < FEWEST_AN_ARM) {
            return Optional.empty();
        }
        double rate = Math.max(
                0.1,
                Math.min(
                        0.9,
                        batches.stream().mapToDouble(b -> b.count().kept()).sum()
                                / batches.stream()
                                        .mapToDouble(b -> b.count().of())
                                        .sum()));
        // Of the other beside the usual; what is known is drawn towards none. What went along may have done as much as
        // a way does.
        double along = c.verdict() == Comparison.Verdict.MIXED ? BEFORE * BEFORE : 0;
        double precision = c.difference()
                .map(d -> 1 / (Math.pow((d.high() - d.low()) / TEN_TO_NINETY, 2) + along))
                .orElse(0.0);
        double mean = precision == 0
                ? 0
                : -c.difference().orElseThrow().mean() * precision / (precision + 1 / (BEFORE * BEFORE));
        double variance = 1 / (precision + 1 / (BEFORE * BEFORE));
        double trial = 2 * rate * (1 - rate) / arm;
        double spread = variance / Math.sqrt(variance + trial);
        return Optional.of(new TryNext(
                known.plant(),
                asked,
                asked.first(),
                aYear,
                aYear * gain(mean, spread),
                2 * arm,
                c.first().batches() + c.second().batches()));
    }

    /** What is gained on average by going over when the mean turns out above 0, beside doing now what looks better. */
    static double gain(double mean, double spread) {
        if (spread <= 0) {
            return 0;
        }
        double z = -Math.abs(mean) / spread;
        return spread * NORMAL.density(z) - Math.abs(mean) * NORMAL.cumulativeProbability(z);
    }
}
