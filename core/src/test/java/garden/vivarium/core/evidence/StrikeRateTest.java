package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.Overdispersion.WayCounts;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StrikeRateTest {

    private static final int[] KEPT = {18, 31, 9, 40, 22, 13, 27, 35};
    private static final int[] STUCK = {24, 36, 20, 48, 36, 24, 30, 40};

    @Test
    void oneWaysSpreadHoldsItsWorkedValue() {
        assertThat(oneWay(0.735103, 0.083188)).isCloseTo(-23.240997, within(1e-6));
        for (double step : new double[] {-0.002, 0.002}) {
            assertThat(oneWay(0.735103 + step, 0.083188)).isLessThan(-23.240997);
            assertThat(oneWay(0.735103, 0.083188 + step)).isLessThan(-23.240997);
        }
    }

    @Test
    void withoutBatchesTheSpreadIsThePriorMean() {
        assertThat(Overdispersion.estimate(List.of()).rho()).isCloseTo(0.1, within(1e-9));
    }

    @Test
    void threeBatchesOverTheGuideHoldTheirWorkedValues() {
        List<BatchCount> three = List.of(new BatchCount(18, 24), new BatchCount(31, 36), new BatchCount(9, 20));
        assertThat(three.get(0).effectivePieces(0.08)).isCloseTo(8.45070, within(5e-6));
        assertThat(three.get(1).effectivePieces(0.08)).isCloseTo(9.47368, within(5e-6));
        assertThat(three.get(2).effectivePieces(0.08)).isCloseTo(7.93651, within(5e-6));

        StrikeRate rate = StrikeRate.of(0.70, List.of(new Level(Closeness.THIS_WAY, three)), 0.08);

        assertThat(rate.alpha()).isCloseTo(20.8674, within(5e-5));
        assertThat(rate.beta()).isCloseTo(8.99354, within(5e-6));
        assertThat(rate.quantile(0.05)).isCloseTo(0.555431, within(5e-7));
        assertThat(rate.quantile(0.95)).isCloseTo(0.826824, within(5e-7));
        assertThat(rate.shares().get(0).weight()).isCloseTo(25.8609, within(5e-5));
        assertThat(rate.guideWeight()).isEqualTo(4);
    }

    @Test
    void aWiderLevelHandsItsMeanOnAtALesserStrength() {
        List<BatchCount> three = List.of(new BatchCount(18, 24), new BatchCount(31, 36), new BatchCount(9, 20));

        StrikeRate rate = StrikeRate.of(
                0.70,
                List.of(new Level(Closeness.OTHER_PLANTS, three), new Level(Closeness.THIS_WAY, List.of())),
                0.08);

        // 25.8609 pieces of batches go on as 7.21150, at 18.0674 of 25.8609; the guide's four stay whole.
        assertThat(rate.alpha()).isCloseTo(2.8 + 18.0674 * 0.278857, within(5e-4));
        assertThat(rate.beta()).isCloseTo(1.2 + 7.79354 * 0.278857, within(5e-4));
        assertThat(rate.guideWeight()).isEqualTo(4);
        assertThat(rate.guideWeight() + rate.shares().get(0).weight())
                .as("what each level weighs adds up to the whole")
                .isCloseTo(rate.alpha() + rate.beta(), within(1e-9));
    }

    @Test
    void theNextBatchHoldsItsWorkedValue() {
        StrikeRate rate = new StrikeRate(41, 15, 0.08, 0.7, 4, List.of());
        NextBatch next = rate.nextBatch();

        assertThat(next.a()).isCloseTo(6.88321, within(5e-6));
        assertThat(next.b()).isCloseTo(2.51825, within(5e-6));
        assertThat(rate.quantile(0.05)).isCloseTo(0.631022, within(5e-7));
        assertThat(rate.quantile(0.95)).isCloseTo(0.823758, within(5e-7));
        assertThat(next.quantile(0.05)).isCloseTo(0.479397, within(5e-7));
        assertThat(next.quantile(0.95)).isCloseTo(0.926449, within(5e-7));
    }

    @Test
    void twoStagesMultiplyMeansAndSecondMoments() {
        NextBatch strike = new NextBatch(6.88321, 2.51825);
        NextBatch settle = new NextBatch(19, 1);

        NextBatch both = strike.and(settle);

        assertThat(both.mean()).isCloseTo(strike.mean() * 0.95, within(1e-12));
        double second = (strike.variance() + strike.mean() * strike.mean()) * (settle.variance() + 0.95 * 0.95);
        assertThat(both.variance() + both.mean() * both.mean()).isCloseTo(second, within(1e-12));
        assertThat(both.variance()).isGreaterThan(strike.variance() * 0.9);
    }

    @ParameterizedTest
    @CsvSource({"0.02, 0.05, 12", "0.5, 0.5, 8", "41, 15, 16", "300, 2, 24", "1, 1, 5"})
    void theRuleOfGaussAndJacobiIsExactForPolynomials(double a, double b, int count) {
        RateNodes nodes = RateNodes.gaussJacobi(a, b, count);
        double moment = 1;
        for (int power = 1; power < 2 * count; power++) {
            moment *= (a + power - 1) / (a + b + power - 1);
            double sum = 0;
            for (int i = 0; i < nodes.size(); i++) {
                sum += nodes.weight(i) * Math.pow(nodes.rate(i), power);
            }
            assertThat(sum).as("moment %d", power).isCloseTo(moment, within(1e-9));
        }
    }

    @Test
    void twentyBatchesThatAllTookDoNotMakeATrayCountAsOnePiece() {
        List<int[]> all = Collections.nCopies(20, new int[] {24, 24});

        assertThat(Overdispersion.estimate(List.of(new WayCounts(0.7, all))).rho())
                .isLessThan(0.2);
    }

    @Test
    void anotherNurseryOfThousandsOfBatchesIsNoLessExact() {
        // Drawn with ρ = 0.08: with so much to go by the answer lies at it, whatever the prior.
        RandomDataGenerator draws = new RandomDataGenerator(12);
        List<WayCounts> ways = new ArrayList<>();
        for (int w = 0; w < 60; w++) {
            double mean = draws.nextBeta(7, 3);
            List<int[]> counts = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                double p = draws.nextBeta(mean * 11.5, (1 - mean) * 11.5);
                int kept = 0;
                for (int piece = 0; piece < 72; piece++) {
                    kept += draws.nextUniform(0, 1) < p ? 1 : 0;
                }
                counts.add(new int[] {kept, 72});
            }
            ways.add(new WayCounts(0.7, counts));
        }
        assertThat(Overdispersion.estimate(ways).rho()).isCloseTo(0.08, within(0.006));
    }

    @ParameterizedTest
    @CsvSource({"0.5, 0.5", "0.3, 4", "20, 0.4", "250, 90"})
    void nodesOfABetaGiveItsMomentsEvenWhereItsDensityIsUnbounded(double a, double b) {
        RateNodes nodes = RateNodes.of(a, b, 96);
        double mean = 0;
        double second = 0;
        for (int i = 0; i < nodes.size(); i++) {
            mean += nodes.weight(i) * nodes.rate(i);
            second += nodes.weight(i) * nodes.rate(i) * nodes.rate(i);
        }
        assertThat(mean).isCloseTo(a / (a + b), within(1e-7));
        assertThat(second).isCloseTo(a * (a + 1) / ((a + b) * (a + b + 1)), within(1e-7));
    }

    @Test
    void badRatesAreRefusedWithTheBounds() {
        assertThatThrownBy(() -> StrikeRate.ofGuide(1, 0.1)).hasMessageContaining("between 0 and 1");
        assertThatThrownBy(() -> new BatchCount(5, 4)).hasMessageContaining("between 0 and all");
    }

    private static double oneWay(double mu, double rho) {
        double sum = 0;
        for (int i = 0; i < KEPT.length; i++) {
            sum += BetaBinomial.logChance(KEPT[i], STUCK[i], mu, rho);
        }
        return sum;
    }
}
