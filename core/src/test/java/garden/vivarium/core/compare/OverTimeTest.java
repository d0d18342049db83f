package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Whether a nursery is getting better, where the truth was planted. */
class OverTimeTest {

    private static FinishedBatch batch(String plant, int week, double share) {
        LocalDate day = LocalDate.of(2024, 1, 1).plusWeeks(week);
        return new FinishedBatch(
                "b" + week,
                plant,
                "tip cutting",
                day,
                day.plusDays(40),
                new BatchCount(Math.round(40 * share), 40),
                Tallies.none(),
                Map.of(Factor.MEDIUM, "perlite"));
    }

    @Test
    void plantedRiseIsFoundWithItsSize() {
        Random random = new Random(8);
        List<FinishedBatch> all = new ArrayList<>();
        for (int week = 0; week < 104; week += 2) {
            all.add(batch("Fuchsia", week, 0.5 + 0.15 * week / 52 + 0.05 * random.nextGaussian()));
        }
        OverTime over = OverTime.of(all, 0.08);
        assertThat(over.slope()).hasValueSatisfying(s -> {
            assertThat(s.trend()).isEqualTo(OverTime.Trend.BETTER);
            assertThat(s.aYear()).isCloseTo(0.15, within(0.05)).isBetween(s.low(), s.high());
        });
        assertThat(over.quarters()).hasSize(8);
        assertThat(over.quarters().get(0).above()).isNegative();
        assertThat(over.quarters().get(7).above()).isPositive();
        assertThat(over.says().orElseThrow().rule()).isEqualTo(OverTime.Trend.BETTER);
    }

    @Test
    void harderPlantsAreNoWorseYear() {
        Random random = new Random(9);
        List<FinishedBatch> all = new ArrayList<>();
        // An easy plant in the first year, a hard one in the second; neither changes.
        for (int week = 0; week < 52; week += 2) {
            all.add(batch("Coleus", week, 0.95 + 0.02 * random.nextGaussian()));
            all.add(batch("Camellia", week + 52, 0.35 + 0.05 * random.nextGaussian()));
        }
        OverTime over = OverTime.of(all, 0.08);
        // As counted the share falls by more than half; allowing for the plants it moves by a few in 100 at the most.
        assertThat(over.slope().orElseThrow().aYear()).isCloseTo(0, within(0.08));
        assertThat(over.quarters().get(0).share()).isGreaterThan(0.85);
        assertThat(over.quarters().get(7).share()).isLessThan(0.5);
        over.quarters().forEach(q -> assertThat(q.above()).isCloseTo(0, within(0.05)));
    }

    @Test
    void fewBatchesSayNothing() {
        assertThat(OverTime.of(List.of(batch("Fuchsia", 0, 0.5), batch("Fuchsia", 60, 0.9)), 0.08)
                        .slope())
                .isEmpty();
        assertThat(OverTime.of(List.of(), 0.08).quarters()).isEmpty();
    }

    @Test
    void whereNothingChangesATrendIsSeldomSaid() {
        int said = 0;
        int lives = 400;
        for (int life = 0; life < lives; life++) {
            PlantedBatches made = new PlantedBatches(7000 + life, 0.08);
            made.add(40, "Fuchsia", 0.7, 30, Factor.MEDIUM, "perlite")
                    .add(40, "Salvia", 0.5, 30, Factor.MEDIUM, "perlite");
            said += OverTime.of(made.all(), 0.08).slope().orElseThrow().trend() == OverTime.Trend.SAME ? 0 : 1;
        }
        // Two sides of 5%, and two standard errors.
        assertThat((double) said / lives).isLessThan(0.10 + 2 * 0.015);
    }
}
