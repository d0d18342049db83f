package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.guide.OutputRatio;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HedgeTest {

    private static final Hedge.Side GOOD = side(6.88321, 2.51825);
    private static final Hedge.Side POORER = side(4, 4);

    @Test
    void twoBatchesNeedFewerPiecesThanOneAndSeldomerFailAltogether() {
        Hedge hedge = Hedge.best(GOOD, GOOD, 24, 1, 0.9, 500).orElseThrow();
        int alone = TakeCount.least(GOOD.ready(), OutputRatio.one(), 24, 0.9)
                .orElseThrow()
                .pieces();

        assertThat(hedge.first() + hedge.second()).isLessThan(alone);
        assertThat(hedge.chance()).isGreaterThanOrEqualTo(0.9);
        assertThat(hedge.alone()).isLessThan(hedge.chance());
        assertThat(hedge.halfSplit()).isLessThan(hedge.halfAlone());
        assertThat((double) hedge.first() / (hedge.first() + hedge.second()))
                .as("two alike are split about evenly")
                .isCloseTo(0.5, within(0.1));
        assertThat(hedge.enoughOfFirst()).isCloseTo(0.5, within(0.1));
    }

    @Test
    void thePoorerWayGetsTheSmallerShare() {
        Hedge hedge = Hedge.best(GOOD, POORER, 24, 1, 0.9, 500).orElseThrow();

        assertThat(hedge.first()).isGreaterThan(hedge.second());
    }

    @ParameterizedTest
    @CsvSource({"12, 1, 0.8", "24, 1, 0.95", "8, 3, 0.9"})
    void theJointChanceAgreesWithSimulation(int wanted, int perPot, double confidence) {
        Hedge hedge = Hedge.best(GOOD, POORER, wanted, perPot, confidence, 800).orElseThrow();
        RandomDataGenerator draws = new RandomDataGenerator(31);
        int runs = 40_000;
        int met = 0;
        for (int run = 0; run < runs; run++) {
            int one = succeed(hedge.first(), draws.nextBeta(6.88321, 2.51825), draws);
            int other = succeed(hedge.second(), draws.nextBeta(4, 4), draws);
            met += one / perPot + other / perPot >= wanted ? 1 : 0;
        }
        double simulated = (double) met / runs;
        assertThat(hedge.chance()).isCloseTo(simulated, within(4 * Math.sqrt(simulated * (1 - simulated) / runs)));
        assertThat(hedge.working(wanted).steps()).hasSize(3);
    }

    @Test
    void tooFewToSplitIsSaid() {
        assertThat(Hedge.best(GOOD, POORER, 24, 1, 0.9, 24)).isEmpty();
        assertThat(Hedge.best(GOOD, POORER, 24, 1, 0.9, 1)).isEmpty();
    }

    private static int succeed(int pieces, double rate, RandomDataGenerator draws) {
        int n = 0;
        for (int i = 0; i < pieces; i++) {
            n += draws.nextUniform(0, 1) < rate ? 1 : 0;
        }
        return n;
    }

    private static Hedge.Side side(double a, double b) {
        return new Hedge.Side(ReadyChance.withUnlimitedTime(new NextBatch(a, b)), OutputRatio.one());
    }
}
