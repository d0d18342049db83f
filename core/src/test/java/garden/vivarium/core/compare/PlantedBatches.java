package garden.vivarium.core.compare;

import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.random.RandomDataGenerator;

/** Batches whose truth is known: their rates scatter by ρ round what was planted. */
final class PlantedBatches {

    private final RandomDataGenerator random;
    private final double rho;
    private final List<FinishedBatch> made = new ArrayList<>();

    PlantedBatches(long seed, double rho) {
        this.random = new RandomDataGenerator(seed);
        this.rho = rho;
    }

    List<FinishedBatch> all() {
        return List.copyOf(made);
    }

    /** One batch of a measure, with the log-odds that are true of it. */
    PlantedBatches addMeasured(String plant, Measure measure, double value, double logOdds, int pieces) {
        add(1, plant, 1 / (1 + Math.exp(-logOdds)), pieces);
        FinishedBatch b = made.remove(made.size() - 1);
        made.add(new FinishedBatch(
                b.code(),
                b.plant(),
                b.method(),
                b.stuckOn(),
                b.overOn(),
                b.count(),
                b.ready(),
                b.facts(),
                Map.of(measure, value)));
        return this;
    }

    /** So many batches of a plant, of true rate, of so many pieces, with facts by turns. */
    PlantedBatches add(int batches, String plant, double rate, int pieces, Object... facts) {
        Map<Factor, String> known = new EnumMap<>(Factor.class);
        for (int i = 0; i < facts.length; i += 2) {
            known.put((Factor) facts[i], (String) facts[i + 1]);
        }
        for (int b = 0; b < batches; b++) {
            double strength = (1 - rho) / rho;
            double p = rho == 0 ? rate : random.nextBeta(rate * strength, (1 - rate) * strength);
            int kept = 0;
            for (int piece = 0; piece < pieces; piece++) {
                kept += random.nextUniform(0, 1) < p ? 1 : 0;
            }
            LocalDate day = LocalDate.of(2025, 1, 6).plusDays(7L * made.size());
            made.add(new FinishedBatch(
                    "b" + made.size(),
                    plant,
                    "tip cutting",
                    day,
                    day.plusDays(40),
                    new BatchCount(kept, pieces),
                    Tallies.none(),
                    known));
        }
        return this;
    }
}
