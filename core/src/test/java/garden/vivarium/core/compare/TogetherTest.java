package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.compare.Together.Effect;
import garden.vivarium.core.compare.Together.Refusal;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Several things at once, where the truth was planted. */
class TogetherTest {

    private static final double RHO = 0.08;
    private static final List<Factor> BOTH = List.of(Factor.MEDIUM, Factor.SEASON);

    private static double rate(double logOdds) {
        return 1 / (1 + Math.exp(-logOdds));
    }

    /** Perlite mostly in spring: the season bears by so much, the medium by so much. */
    private static PlantedBatches planted(long seed, double medium, double season) {
        PlantedBatches all = new PlantedBatches(seed, RHO);
        for (String plant : List.of("Fuchsia", "Salvia")) {
            double usual = plant.equals("Fuchsia") ? -0.2 : 0.3;
            all.add(6, plant, rate(usual + medium + season), 40, Factor.MEDIUM, "perlite", Factor.SEASON, "spring")
                    .add(2, plant, rate(usual + medium), 40, Factor.MEDIUM, "perlite", Factor.SEASON, "autumn")
                    .add(2, plant, rate(usual + season), 40, Factor.MEDIUM, "peat", Factor.SEASON, "spring")
                    .add(6, plant, rate(usual), 40, Factor.MEDIUM, "peat", Factor.SEASON, "autumn");
        }
        return all;
    }

    private static Effect of(Together t, Factor factor) {
        return t.effects().stream()
                .filter(e -> e.factor() == factor)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aFitOfOneColumnIsTheLogOfTheOdds() {
        List<LogisticFit.Row> rows = List.of(
                new LogisticFit.Row(new double[] {1, 0}, 30, 40), new LogisticFit.Row(new double[] {1, 1}, 12, 60));
        LogisticFit fit = LogisticFit.of(rows, new double[] {1e-9, 1e-9});
        assertThat(fit.coefficients()[0]).isCloseTo(Math.log(3), within(1e-6));
        assertThat(fit.coefficients()[1]).isCloseTo(Math.log(0.25) - Math.log(3), within(1e-6));
        assertThat(fit.covariance().getEntry(0, 0)).isCloseTo(1 / 30.0 + 1 / 10.0, within(1e-6));
        assertThat(fit.covariance().getEntry(1, 1)).isCloseTo(1 / 30.0 + 1 / 10.0 + 1 / 12.0 + 1 / 48.0, within(1e-6));
        assertThatThrownBy(() -> LogisticFit.of(List.of(), new double[] {1}))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void eachEffectIsFoundWithTheOtherHeldStill() {
        Together t = Together.of(planted(11, 0, 1.6).all(), BOTH, RHO);
        assertThat(t.refused()).isEmpty();
        assertThat(of(t, Factor.SEASON).isTold()).isTrue();
        assertThat(of(t, Factor.SEASON).value()).isEqualTo("spring");
        assertThat(of(t, Factor.SEASON).more()).isBetween(0.15, 0.45);
        assertThat(of(t, Factor.MEDIUM).isTold()).isFalse();
        // Asked alone the medium takes the season's part.
        assertThat(of(Together.of(planted(11, 0, 1.6).all(), List.of(Factor.MEDIUM), RHO), Factor.MEDIUM)
                        .more())
                .isGreaterThan(of(t, Factor.MEDIUM).more());
    }

    @Test
    void whatMakesNoDifferenceIsSeldomToldToMakeOneAndWhatDoesIsCovered() {
        int lives = 150;
        int told = 0;
        int covered = 0;
        for (int life = 0; life < lives; life++) {
            Together t = Together.of(planted(1000 + life, 0, 1.2).all(), BOTH, RHO);
            told += of(t, Factor.MEDIUM).isTold() ? 1 : 0;
            Effect season = of(t, Factor.SEASON);
            double truth = (rate(1.0) - rate(-0.2) + rate(1.5) - rate(0.3)) / 2;
            covered += season.low() <= truth && truth <= season.high() ? 1 : 0;
        }
        // One in twenty at most, two effects asked; two standard errors are 4 in 100.
        assertThat(told / (double) lives).isLessThan(0.10);
        assertThat(covered / (double) lives).isBetween(0.82, 0.98);
    }

    @Test
    void whatWentTogetherIsNotToldApart() {
        List<FinishedBatch> all = new PlantedBatches(4, RHO)
                .add(12, "Fuchsia", 0.85, 40, Factor.MEDIUM, "perlite", Factor.SEASON, "spring")
                .add(12, "Fuchsia", 0.45, 40, Factor.MEDIUM, "peat", Factor.SEASON, "autumn")
                .all();
        Together t = Together.of(all, BOTH, RHO);
        assertThat(t.refused()).first().satisfies(s -> {
            assertThat(s.rule()).isEqualTo(Refusal.WENT_TOGETHER);
            assertThat(s.figures().get("other")).isIn("spring", "autumn", "perlite", "peat");
        });
        assertThat(t.effects()).isEmpty();
    }

    @Test
    void tooFewBatchesOneValueAndNothingLostAreRefusedWithTheReason() {
        List<FinishedBatch> few = new PlantedBatches(5, RHO)
                .add(4, "Fuchsia", 0.8, 40, Factor.MEDIUM, "perlite", Factor.SEASON, "spring")
                .add(4, "Fuchsia", 0.5, 40, Factor.MEDIUM, "peat", Factor.SEASON, "spring")
                .all();
        assertThat(Together.of(few, BOTH, RHO).refused())
                .extracting(s -> s.rule())
                .containsExactly(Refusal.ONE_VALUE, Refusal.TOO_FEW);
        List<FinishedBatch> allRooted = new PlantedBatches(6, RHO)
                .add(10, "Fuchsia", 0.999, 40, Factor.MEDIUM, "perlite")
                .add(10, "Fuchsia", 0.999, 40, Factor.MEDIUM, "peat")
                .all();
        assertThat(Together.of(allRooted, List.of(Factor.MEDIUM), RHO).refused())
                .extracting(s -> s.rule())
                .containsExactly(Refusal.TOO_EVEN);
        assertThat(Together.of(List.of(), BOTH, RHO).effects()).isEmpty();
    }

    @Test
    void aCurveWithAPeakIsFoundAndOneWithoutIsNot() {
        Random random = new Random(8);
        PlantedBatches peak = new PlantedBatches(21, RHO);
        PlantedBatches flat = new PlantedBatches(22, RHO);
        PlantedBatches rising = new PlantedBatches(23, RHO);
        for (int i = 0; i < 40; i++) {
            double days = random.nextInt(15);
            String plant = i % 3 == 0 ? "Salvia" : "Fuchsia";
            peak.addMeasured(plant, Measure.DRIED, days, 1.5 - (days - 7) * (days - 7) / 14, 40);
            flat.addMeasured(plant, Measure.DRIED, days, 0.6, 40);
            rising.addMeasured(plant, Measure.DRIED, days, -1 + days / 5, 40);
        }
        DoseCurve found = DoseCurve.of(peak.all(), Measure.DRIED, RHO);
        assertThat(found.verdict()).isEqualTo(DoseCurve.Verdict.PEAK);
        assertThat(found.best()).isBetween(5.0, 9.0);
        assertThat(found.points())
                .hasSize(25)
                .allSatisfy(p -> assertThat(p.share()).isBetween(p.low(), p.high()));
        assertThat(DoseCurve.of(flat.all(), Measure.DRIED, RHO).verdict()).isEqualTo(DoseCurve.Verdict.NOTHING);
        DoseCurve more = DoseCurve.of(rising.all(), Measure.DRIED, RHO);
        assertThat(more.verdict()).isEqualTo(DoseCurve.Verdict.RISES);
        assertThat(more.change().low()).isPositive();
    }

    @Test
    void aCurveThroughThreeValuesIsRefused() {
        PlantedBatches three = new PlantedBatches(24, RHO);
        for (int i = 0; i < 30; i++) {
            three.addMeasured("Fuchsia", Measure.HORMONE, 1000.0 * (i % 3), i % 3, 40);
        }
        DoseCurve refused = DoseCurve.of(three.all(), Measure.HORMONE, RHO);
        assertThat(refused.verdict()).isEqualTo(DoseCurve.Verdict.TOO_FEW);
        assertThat(refused.values()).isEqualTo(3);
        assertThat(refused.points()).isEmpty();
    }

    @Test
    void aCurveWhereNothingMattersIsToldOfOneInTwenty() {
        int told = 0;
        int lives = 120;
        for (int life = 0; life < lives; life++) {
            PlantedBatches flat = new PlantedBatches(5000 + life, RHO);
            Random random = new Random(life);
            for (int i = 0; i < 24; i++) {
                flat.addMeasured("Fuchsia", Measure.WARMTH, 12 + random.nextInt(10), 0.4, 40);
            }
            told += DoseCurve.of(flat.all(), Measure.WARMTH, RHO).verdict() == DoseCurve.Verdict.NOTHING ? 0 : 1;
        }
        assertThat(told / (double) lives).isLessThan(0.10);
    }
}
