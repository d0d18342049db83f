package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Times;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Optional;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HedgeTest {

    private static final double RHO = 0.08;
    private static final PlannedPieces GOOD = side("Good", 11, 4, 1);
    private static final PlannedPieces POORER = side("Poorer", 6, 6, 1);
    /** Another way that is as good, of which one learns nothing by the first. */
    private static final PlannedPieces AS_GOOD = side("As good", 11, 4, 1);

    @Test
    void twoBatchesNeedFewerPiecesThanOneAndSeldomerFailAltogether() {
        Hedge hedge = Hedge.best(GOOD, AS_GOOD, 24, 0.9, 500).orElseThrow();
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
    void twoBatchesOfOneWayShareItsDoubtAndNeedMoreThanTwoOfDifferentWays() {
        Hedge oneWay = Hedge.best(GOOD, GOOD, 24, 0.9, 500).orElseThrow();
        Hedge twoWays = Hedge.best(GOOD, AS_GOOD, 24, 0.9, 500).orElseThrow();

        assertThat(oneWay.first() + oneWay.second()).isGreaterThan(twoWays.first() + twoWays.second());
        assertThat(oneWay.chance())
                .isCloseTo(
                        Prospect.together(List.of(GOOD.prospect(oneWay.first()), GOOD.prospect(oneWay.second())))
                                .atLeast(24),
                        within(1e-9));
    }

    @Test
    void thePoorerWayGetsTheSmallerShare() {
        Hedge hedge = Hedge.best(GOOD, POORER, 24, 0.9, 500).orElseThrow();

        assertThat(hedge.first()).isGreaterThan(hedge.second());
    }

    @ParameterizedTest
    @CsvSource({"12, 1, 0.8", "24, 1, 0.95", "8, 3, 0.9"})
    void theJointChanceAgreesWithSimulation(int wanted, int perPot, double confidence) {
        Hedge hedge = Hedge.best(side("Good", 11, 4, perPot), side("Poorer", 6, 6, perPot), wanted, confidence, 800)
                .orElseThrow();
        RandomDataGenerator draws = new RandomDataGenerator(31);
        int runs = 40_000;
        int met = 0;
        for (int run = 0; run < runs; run++) {
            int one = succeed(hedge.first(), rate(11, 4, draws), draws);
            int other = succeed(hedge.second(), rate(6, 6, draws), draws);
            met += one / perPot + other / perPot >= wanted ? 1 : 0;
        }
        double simulated = (double) met / runs;
        assertThat(hedge.chance()).isCloseTo(simulated, within(4 * Math.sqrt(simulated * (1 - simulated) / runs)));
        assertThat(hedge.working(wanted).steps()).hasSize(3);
    }

    @Test
    void tooFewToSplitIsSaid() {
        assertThat(Hedge.best(GOOD, POORER, 24, 0.9, 24)).isEmpty();
        assertThat(Hedge.best(GOOD, POORER, 24, 0.9, 1)).isEmpty();
    }

    private static int succeed(int pieces, double rate, RandomDataGenerator draws) {
        int n = 0;
        for (int i = 0; i < pieces; i++) {
            n += draws.nextUniform(0, 1) < rate ? 1 : 0;
        }
        return n;
    }

    private static double rate(double alpha, double beta, RandomDataGenerator draws) {
        NextBatch next = new StrikeRate(alpha, beta, RHO, 0.7, 4, List.of()).nextBatch();
        return draws.nextBeta(next.a(), next.b());
    }

    private static PlannedPieces side(String plant, double alpha, double beta, int perPot) {
        SharedDoubt doubt = new SharedDoubt(
                new StrikeRate(alpha, beta, RHO, 0.7, 4, List.of()), Times.of(new Window(7.5, 30), 0.2));
        return new PlannedPieces(
                new Way(plant, "soft", "tip cutting", "water", ""),
                doubt,
                doubt,
                rate -> rate,
                Optional.empty(),
                OutputRatio.one(),
                perPot);
    }

    @Test
    void theFirstShareIsWhatItGivesOfWhatBothGive() {
        Hedge hedge = Hedge.best(GOOD, POORER, 24, 0.9, 500).orElseThrow();
        double first = GOOD.supply(hedge.first()).mean();
        double second = POORER.supply(hedge.second()).mean();

        assertThat(hedge.enoughOfFirst()).isCloseTo(first / (first + second), within(1e-9));
        assertThat(hedge.enoughOfFirst()).isBetween(0.3, 0.99);
    }
}
