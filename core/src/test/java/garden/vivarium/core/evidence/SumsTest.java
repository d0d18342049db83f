package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.special.Beta;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The parts that the sums over rates and speeds are made of, each by itself. */
class SumsTest {

    @Nested
    class TheStretchThatMatters {

        @Test
        void endsWhereTheLogarithmIsNegligible() {
            double[] logs = {-30, -10.1, -10, -3, 0, -20, -10, -10.5, -90};

            Stretch matters = Stretch.of(logs, 10);

            assertThat(matters).as("what is just as far below still matters").isEqualTo(new Stretch(2, 6));
            assertThat(matters.before()).isEqualTo(1);
            assertThat(matters.after(8)).isEqualTo(7);
        }

        @Test
        void isTheWholeWhereAllMatters() {
            Stretch matters = Stretch.of(new double[] {-1, 0, -1}, 10);

            assertThat(matters).isEqualTo(new Stretch(0, 2));
            assertThat(matters.before()).isZero();
            assertThat(matters.after(2)).isEqualTo(2);
        }

        @Test
        void isOnePlaceOfASharpPeak() {
            assertThat(Stretch.of(new double[] {Double.NEGATIVE_INFINITY, 4, Double.NEGATIVE_INFINITY}, 10))
                    .isEqualTo(new Stretch(1, 1));
        }
    }

    @Nested
    class RatesToSumOver {

        @ParameterizedTest
        @CsvSource({"3, 2, 5", "0.4, 0.7, 8", "1, 1, 1", "12, 30, 40"})
        void theRuleIsExactForPolynomials(double a, double b, int count) {
            RateNodes rule = RateNodes.gaussJacobi(a, b, count);

            assertThat(rule.size()).isEqualTo(count);
            double moment = 1;
            for (int power = 0; power < 2 * count && power < 12; power++) {
                double sum = 0;
                for (int i = 0; i < count; i++) {
                    sum += rule.weight(i) * Math.pow(rule.rate(i), power);
                    assertThat(rule.rate(i) + rule.rest(i)).isCloseTo(1, within(1e-12));
                }
                assertThat(sum).as("moment %d", power).isCloseTo(moment, within(1e-10));
                moment *= (a + power) / (a + b + power);
            }
        }

        @ParameterizedTest
        @CsvSource({"0, 1", "1, 0", "-1, 2", "Infinity, 1", "1, Infinity", "NaN, 1", "1, NaN"})
        void whatIsNoBetaIsRefused(double a, double b) {
            assertThatThrownBy(() -> RateNodes.gaussJacobi(a, b, 4)).hasMessageContaining("needs a and b above 0");
            assertThatThrownBy(() -> RateNodes.of(a, b, 4)).hasMessageContaining("needs a and b above 0");
            assertThatThrownBy(() -> new RateNodes.OnParts(a, b, 24)).hasMessageContaining("needs a and b above 0");
        }

        /** ∫ pᵃ⁻¹(1 − p)ᵇ⁻¹ pᵐ(1 − p)ⁿ is a beta function: for weak and for overwhelming evidence. */
        @ParameterizedTest
        @CsvSource({"2, 3, 0, 0", "2, 3, 10, 4", "5, 1.5, 800, 40", "3, 3, 4000, 4000", "2, 6, 0, 900"})
        void onPartsTheIntegralIsTheBetaFunction(double a, double b, int m, int n) {
            double[] rates = new double[48];
            double[] logs = new double[48];
            DoubleUnaryOperator f = p -> m * Math.log(p) + n * Math.log1p(-p);

            new RateNodes.OnParts(a, b, rates.length).fill(f, rates, logs);

            double whole = Beta.logBeta(a + m, b + n);
            double sum = Arrays.stream(logs).map(l -> Math.exp(l - whole)).sum();
            assertThat(sum).isCloseTo(1, within(1e-6));
            double mean = 0;
            for (int i = 0; i < rates.length; i++) {
                mean += rates[i] * Math.exp(logs[i] - whole);
            }
            assertThat(mean).isCloseTo((a + m) / (a + b + m + n), within(1e-6));
        }
    }

    @Nested
    class AFinerSum {

        private final RunningBatch.Figures coarse = new RunningBatch.Figures(0.7, 0.01, 0.4, -12);

        @ParameterizedTest
        @CsvSource({
            // Mean by a thousandth, variance by a twenty-fifth of itself, chance and evidence by a thousandth.
            "0.7, 0.01, 0.4, -12, true",
            "0.7009, 0.0103, 0.4009, -12.0009, true",
            "0.6991, 0.0097, 0.3991, -11.9991, true",
            "0.7011, 0.01, 0.4, -12, false",
            "0.6989, 0.01, 0.4, -12, false",
            "0.7, 0.0105, 0.4, -12, false",
            "0.7, 0.0096, 0.4, -12, false",
            "0.7, 0.01, 0.4011, -12, false",
            "0.7, 0.01, 0.3989, -12, false",
            "0.7, 0.01, 0.4, -12.0011, false",
            "0.7, 0.01, 0.4, -11.9989, false",
        })
        void standsOnceNobodyWouldNoticeTheDifference(
                double mean, double variance, double everReady, double logEvidence, boolean near) {
            assertThat(new RunningBatch.Figures(mean, variance, everReady, logEvidence).isNear(coarse))
                    .isEqualTo(near);
        }

        @Test
        void ofARateThatIsKnownCloselyMustAgreeMoreClosely() {
            RunningBatch.Figures close = new RunningBatch.Figures(0.7, 1e-4, 0.4, -12);

            assertThat(new RunningBatch.Figures(0.70019, 1e-4, 0.4, -12).isNear(close))
                    .isTrue();
            assertThat(new RunningBatch.Figures(0.70021, 1e-4, 0.4, -12).isNear(close))
                    .as("a fiftieth of the deviation of 0.01")
                    .isFalse();
        }
    }

    @Nested
    class OneStepTowardsTheMaximum {

        /** Of L = Σ wⱼ ln pⱼ the maximum is w/W: near it one step of the quadratic all but gets there. */
        @Test
        void reachesANearMaximumWithinASecondOrder() {
            double[] w = {5, 3, 2};
            double[] p = {0.49, 0.31, 0.20};

            double[] next = step(p, w);

            for (int j = 0; j < 3; j++) {
                assertThat(next[j]).isCloseTo(w[j] / 10, within(0.002));
            }
            assertThat(Arrays.stream(next).sum()).isCloseTo(1, within(1e-12));
        }

        @Test
        void neverGoesDown() {
            double[] w = {50, 1, 1, 1e-9};
            double[] p = {0.01, 0.33, 0.33, 0.33};

            double[] next = step(p, w);

            assertThat(likelihood(next, w)).isGreaterThan(likelihood(p, w));
            assertThat(Arrays.stream(next).min().orElseThrow()).isNotNegative();
        }

        @Test
        void atTheMaximumNothingMoves() {
            double[] w = {5, 3, 2};
            double[] p = {0.5, 0.3, 0.2};

            assertThat(step(p, w)).isEqualTo(p);
        }

        @Test
        void aMassAtNoughtThatWouldBeBelowItStaysThereAndOneThatWouldGrowLeavesIt() {
            double[][] curvature = {{10, 0, 0}, {0, 10, 0}, {0, 0, 10}};
            double[] p = {1, 0, 0};
            // Only the second pulls above the total weight of 4.
            double[] next =
                    QuadraticStep.from(p, new double[] {4, 5, 3}, 4, curvature, q -> 5 * q[1] + 4 * q[0] + 3 * q[2], 4);

            assertThat(next[2]).isZero();
            assertThat(next[1]).isCloseTo(0.1 / 1.1, within(1e-9));
            assertThat(next[0]).isCloseTo(1 / 1.1, within(1e-9));
        }

        @Test
        void whereNoPartOfTheStepIsBetterTheMassesStay() {
            double[] p = {0.5, 0.5};
            double[] next = QuadraticStep.from(
                    p, new double[] {6, 3}, 4, new double[][] {{10, 0}, {0, 10}}, q -> q[0] == 0.5 ? 1 : 0, 1);

            assertThat(next).isSameAs(p);
        }

        private double[] step(double[] p, double[] w) {
            int n = p.length;
            double[] slope = new double[n];
            double[][] curvature = new double[n][n];
            for (int j = 0; j < n; j++) {
                slope[j] = w[j] / p[j];
                curvature[j][j] = w[j] / (p[j] * p[j]);
            }
            double total = Arrays.stream(w).sum();
            return QuadraticStep.from(p, slope, total, curvature, q -> likelihood(q, w), likelihood(p, w));
        }

        private double likelihood(double[] p, double[] w) {
            double sum = 0;
            for (int j = 0; j < p.length; j++) {
                sum += w[j] * Math.log(p[j]);
            }
            return sum;
        }
    }

    @Nested
    class MassesOfReachedAndLost {

        private final CompetingMasses masses = new CompetingMasses(Tallies.of(List.of(
                Interval.reached(0, 5),
                Interval.reached(3, 9),
                Interval.reached(7, 12),
                Interval.lost(2, 6),
                Interval.lost(5, 11),
                Interval.pending(4),
                Interval.pending(8),
                Interval.sent(10, 10))));

        /** The slope is the first derivative of the log-likelihood, the curvature less the second. */
        @Test
        void slopeAndCurvatureAreDerivatives() {
            double[] p = someMasses(masses.maximum().length);
            double[] slope = new double[p.length];
            masses.slopes(p, slope);
            double[][] curvature = masses.curvature(p);
            double h = 1e-5;
            for (int j = 0; j < p.length; j++) {
                assertThat((at(p, j, h) - at(p, j, -h)) / (2 * h))
                        .as("slope %d", j)
                        .isCloseTo(slope[j], within(1e-4 * slope[j] + 1e-6));
                double[] up = slopesAt(p, j, h);
                double[] down = slopesAt(p, j, -h);
                for (int k = 0; k < p.length; k++) {
                    assertThat(-(up[k] - down[k]) / (2 * h))
                            .as("curvature %d, %d", j, k)
                            .isCloseTo(curvature[j][k], within(1e-4 * Math.abs(curvature[j][k]) + 1e-5));
                }
            }
        }

        @Test
        void atTheMaximumNoMassWouldGrow() {
            double[] p = masses.maximum();
            double[] slope = new double[p.length];
            masses.slopes(p, slope);

            assertThat(Arrays.stream(p).sum()).isCloseTo(1, within(1e-9));
            for (int j = 0; j < p.length; j++) {
                assertThat(slope[j]).isLessThanOrEqualTo(8 * (1 + 1e-6));
            }
        }

        /** Two steps of a sequence that closes on its end by half each time: the leap lands on the end. */
        @Test
        void aLeapGoesToWhereEvenStepsWouldEnd() {
            double[] end = someMasses(masses.maximum().length);
            double[] p = new double[end.length];
            double[] once = new double[end.length];
            double[] twice = new double[end.length];
            for (int j = 0; j < end.length; j++) {
                double away = (j % 2 == 0 ? 0.01 : -0.01) * (j == end.length - 1 && end.length % 2 == 1 ? 0 : 1);
                p[j] = end[j] + away;
                once[j] = end[j] + away / 2;
                twice[j] = end[j] + away / 4;
            }

            double[] leap = masses.extrapolated(p, once, twice);

            for (int j = 0; j < end.length; j++) {
                assertThat(leap[j]).isCloseTo(end[j], within(1e-12));
            }
        }

        private double at(double[] p, int j, double h) {
            double[] q = p.clone();
            q[j] += h;
            return masses.logLikelihood(q);
        }

        private double[] slopesAt(double[] p, int j, double h) {
            double[] q = p.clone();
            q[j] += h;
            double[] slope = new double[q.length];
            masses.slopes(q, slope);
            return slope;
        }

        private static double[] someMasses(int size) {
            Random random = new Random(5);
            double[] p = random.doubles(size, 0.5, 1.5).toArray();
            double sum = Arrays.stream(p).sum();
            return Arrays.stream(p).map(x -> x / sum).toArray();
        }
    }

    @Test
    void aTableKeepsWhatItIsMadeOfAndLiesInProportionBetween() {
        ShownTable table = new ShownTable(List.of(4.0, 16.0), List.of(2.0, 4.0), List.of(6.0, 3.0));

        assertThat(table.by(1)).isEqualTo(new NextBatch(2, 6));
        assertThat(table.by(4)).isEqualTo(new NextBatch(2, 6));
        assertThat(table.by(16)).isEqualTo(new NextBatch(4, 3));
        assertThat(table.by(40)).isEqualTo(new NextBatch(4, 3));
        NextBatch between = table.by(8);
        assertThat(between.a()).as("half way on the scale of ln(days)").isCloseTo(3, within(1e-12));
        assertThat(between.b()).isCloseTo(4.5, within(1e-12));
        NextBatch nearer = table.by(4 * Math.sqrt(2));
        assertThat(nearer.a()).isCloseTo(2.5, within(1e-12));
    }
}
