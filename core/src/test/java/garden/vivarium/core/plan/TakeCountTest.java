package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Times;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Random;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TakeCountTest {

    /** Worked values 3b and 4b. */
    private static final NextBatch RATE = new StrikeRate(41, 15, 0.08, 0.7, 4, List.of()).nextBatch();

    private static final Window WINDOW = new Window(7.5, 30);
    private static final RootingTime TIME = Times.of(WINDOW, 0.2);

    @ParameterizedTest
    @CsvSource({
        "14, 143, 0.902082",
        "21, 70, 0.905720",
        "28, 54, 0.905471",
        "35, 49, 0.906155",
    })
    void withBatchesOfUnequalSpeedHoldsItsWorkedValues(int days, int take, double chance) {
        TakeCount count = least(ReadyChance.after(RATE, TIME, days), OutputRatio.one(), 24, 0.9);

        assertThat(count.pieces()).isEqualTo(take);
        assertThat(count.chance()).isCloseTo(chance, within(5e-7));
    }

    @ParameterizedTest
    @CsvSource({
        "14, 104, 0.9021, 0.0372",
        "21, 63, 0.9049, 0.6656",
        "28, 52, 0.9024, 0.8550",
        "35, 48, 0.9006, 0.9006",
        "60, 46, 0.9084, 0.9263",
    })
    void withBatchesOfOneSpeedHoldsItsWorkedValues(int days, int take, double chance, double chanceOf48) {
        ReadyChance ready = ReadyChance.after(RATE, Times.of(WINDOW, 0), days);
        TakeCount count = least(ready, OutputRatio.one(), 24, 0.9);

        assertThat(count.pieces()).isEqualTo(take);
        assertThat(count.chance()).isCloseTo(chance, within(5e-5));
        assertThat(ready.atLeast(24, 48)).isCloseTo(chanceOf48, within(5e-5));
    }

    @ParameterizedTest
    @CsvSource({"21, 84, 0.901718", "28, 59, 0.900757", "35, 51, 0.900320"})
    void whereTheSpeedOfTheWayIsUnsureHoldsItsWorkedValues(int days, int take, double chance) {
        TakeCount count =
                least(ReadyChance.after(RATE, Times.of(WINDOW, 1.0 / 16, 0.2), days), OutputRatio.one(), 24, 0.9);

        assertThat(count.pieces()).isEqualTo(take);
        assertThat(count.chance()).isCloseTo(chance, within(5e-6));
    }

    @Test
    void largeAimsAreSolvedForTwoThousandAndScaled() {
        ReadyChance ready = ReadyChance.withUnlimitedTime(new NextBatch(990, 10));

        assertThat(least(ready, OutputRatio.one(), 2000, 0.9)).satisfies(t -> {
            assertThat(t.pieces()).isEqualTo(2031);
            assertThat(t.isScaled()).isFalse();
        });
        TakeCount scaled = least(ready, OutputRatio.one(), 9000, 0.9);
        assertThat(scaled.pieces()).isEqualTo(9140);
        assertThat(scaled.isScaled()).isTrue();
        assertThat(ready.atLeast(9000, 9132)).as("the exact number").isGreaterThanOrEqualTo(0.899);
    }

    @Test
    void moreThanFiveThousandIsANumberAndNotTooLate() {
        ReadyChance ready = ReadyChance.withUnlimitedTime(new NextBatch(30, 270));

        assertThat(least(ready, OutputRatio.one(), 800, 0.9).pieces()).isBetween(8000, 16_000);
    }

    @ParameterizedTest
    @CsvSource({"0.5, 32", "0.8, 39", "0.9, 45", "0.95, 52"})
    void withUnlimitedTimeHoldsItsWorkedValues(double confidence, int take) {
        assertThat(least(ReadyChance.withUnlimitedTime(RATE), OutputRatio.one(), 24, confidence)
                        .pieces())
                .isEqualTo(take);
    }

    @Test
    void yieldsAreConvolved() {
        OutputRatio output = new OutputRatio(List.of(0.5, 0.3, 0.2));

        assertThat(ReadyChance.withUnlimitedTime(RATE).atLeast(12, 12, output)).isCloseTo(0.781808, within(5e-7));
    }

    @ParameterizedTest
    @CsvSource({"24, 0.9, 20", "24, 0.9, 45", "5, 0.8, 18", "80, 0.95, 60", "1, 0.5, 30"})
    void takeIsTheLeastNumberThatWillDo(int wanted, double confidence, int days) {
        ReadyChance ready = ReadyChance.after(RATE, TIME, days);
        OutputRatio output = new OutputRatio(List.of(0.7, 0.3));
        TakeCount count = least(ready, output, wanted, confidence);

        assertThat(ready.atLeast(wanted, count.pieces(), output)).isGreaterThanOrEqualTo(confidence);
        assertThat(ready.atLeast(wanted, count.pieces() - 1, output)).isLessThan(confidence);
    }

    @Test
    void agreesWithSimulation() {
        ReadyChance ready = ReadyChance.after(RATE, TIME, 21);
        OutputRatio output = new OutputRatio(List.of(0.5, 0.3, 0.2));
        int runs = 20_000;
        int met = 0;
        Random random = new Random(7);
        RandomDataGenerator draws = new RandomDataGenerator(11);
        for (int run = 0; run < runs; run++) {
            double p = draws.nextBeta(RATE.a(), RATE.b());
            double there = p * TIME.by(21, TIME.tau() * random.nextGaussian());
            int young = 0;
            for (int piece = 0; piece < 20; piece++) {
                if (random.nextDouble() < there) {
                    double yield = random.nextDouble();
                    young += yield < 0.5 ? 1 : yield < 0.8 ? 2 : 3;
                }
            }
            met += young >= 14 ? 1 : 0;
        }
        double simulated = (double) met / runs;
        double error = Math.sqrt(simulated * (1 - simulated) / runs);

        assertThat(ready.atLeast(14, 20, output)).isCloseTo(simulated, within(4 * error));
    }

    @Test
    void noTimeMeansNoChanceAndNoCount() {
        assertThat(ReadyChance.after(RATE, TIME, 0).atLeast(1, 500)).isZero();
        assertThat(TakeCount.least(ReadyChance.after(RATE, TIME, 0), OutputRatio.one(), 1, 0.8))
                .isEmpty();
    }

    @Test
    void badAimsAreRefused() {
        ReadyChance ready = ReadyChance.withUnlimitedTime(RATE);
        assertThatThrownBy(() -> TakeCount.least(ready, OutputRatio.one(), 24, 1))
                .hasMessageContaining("confidence");
        assertThatThrownBy(() -> new OutputRatio(List.of(0.5, 0.2))).hasMessageContaining("sum to one");
    }

    private static TakeCount least(ReadyChance ready, OutputRatio output, int wanted, double confidence) {
        return TakeCount.least(ready, output, wanted, confidence).orElseThrow();
    }

    @Test
    void theSearchBeginsWhereTheMeanWouldDo() {
        ReadyChance half = ReadyChance.withUnlimitedTime(new NextBatch(50, 50));
        OutputRatio two = new OutputRatio(List.of(0.0, 1.0));

        assertThat(TakeCount.guess(half, OutputRatio.one(), 24)).isEqualTo(48);
        assertThat(TakeCount.guess(half, OutputRatio.one(), 25)).isEqualTo(50);
        assertThat(TakeCount.guess(half, two, 24)).isEqualTo(24);
        assertThat(TakeCount.guess(ReadyChance.withUnlimitedTime(new NextBatch(1e-4, 50)), OutputRatio.one(), 24))
                .as("hopeless: as many as are ever tried")
                .isEqualTo(TakeCount.most(24));
    }
}
