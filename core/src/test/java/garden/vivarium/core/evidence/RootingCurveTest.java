package garden.vivarium.core.evidence;

import static garden.vivarium.core.looks.Interval.lost;
import static garden.vivarium.core.looks.Interval.pending;
import static garden.vivarium.core.looks.Interval.reached;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RootingCurveTest {

    private static final Offset<Double> SIX_FIGURES = within(5e-7);

    @Test
    void oneCauseHoldsItsWorkedValue() {
        RootingCurve curve = RootingCurve.fit(WorkedValues.ONE_CAUSE);

        assertMasses(curve.reached(), new double[][] {{0, 7, 0.1}, {7, 14, 0.25}, {14, 21, 0.25}, {21, 28, 0.133333}});
        assertThat(curve.lost()).isEmpty();
        assertThat(curve.neither()).isCloseTo(0.266667, SIX_FIGURES);
        assertThat(curve.logLikelihood()).isCloseTo(-14.115616, within(1e-6));
    }

    @Test
    void twoCausesHoldTheirWorkedValue() {
        RootingCurve curve = RootingCurve.fit(WorkedValues.TWO_CAUSES);

        assertMasses(curve.reached(), new double[][] {{7, 14, 0.179487}, {14, 21, 0.403846}, {21, 28, 0.125}});
        assertMasses(curve.lost(), new double[][] {{0, 7, 0.083333}, {7, 14, 0.041667}, {14, 28, 0.041667}});
        assertThat(curve.neither()).isCloseTo(0.125, SIX_FIGURES);
        assertThat(curve.logLikelihood()).isCloseTo(-39.372664, within(1e-6));
    }

    @Test
    void lossesAmongUnequalLooksHoldTheirWorkedValue() {
        RootingCurve curve = RootingCurve.fit(Tallies.of(
                Map.of(reached(0, 7), 2L, reached(7, 28), 3L, lost(7, 28), 1L, pending(14), 2L, pending(28), 2L)));

        assertThat(curve.reached().stream().filter(m -> m.share() > 1e-6).toList())
                .extracting(RootingCurve.Mass::after)
                .containsExactly(0, 14);
        assertThat(curve.atLeast(Outcome.REACHED, 7)).isCloseTo(0.2, SIX_FIGURES);
        assertThat(curve.share(Outcome.REACHED)).isCloseTo(0.6, SIX_FIGURES);
        assertMasses(curve.lost(), new double[][] {{14, 28, 0.133333}});
        assertThat(curve.neither()).isCloseTo(0.266667, SIX_FIGURES);
        assertThat(curve.logLikelihood()).isCloseTo(-11.072450, within(1e-6));
    }

    @Test
    void medianIsAnIntervalNotANumber() {
        assertThat(RootingCurve.fit(WorkedValues.TWO_CAUSES).median()).contains(new RootingCurve.Between(14, 21));
        assertThat(RootingCurve.fit(Tallies.of(List.of(pending(9), lost(2, 5)))).median())
                .isEmpty();
    }

    @Test
    void betweenTheEndsTheEstimateIsBracketed() {
        RootingCurve curve = RootingCurve.fit(WorkedValues.ONE_CAUSE);

        assertThat(curve.atLeast(Outcome.REACHED, 10)).isCloseTo(0.1, SIX_FIGURES);
        assertThat(curve.atMost(Outcome.REACHED, 10)).isCloseTo(0.35, SIX_FIGURES);
        assertThat(curve.atLeast(Outcome.REACHED, 14)).isEqualTo(curve.atMost(Outcome.REACHED, 14));
    }

    @Test
    void exactTimesReduceToTheOrdinaryEstimate() {
        // Looked at every day: ready on days 3, 5, 5, 8; one lost on day 4; one pending at 6.
        RootingCurve curve = RootingCurve.fit(Tallies.of(
                List.of(reached(2, 3), reached(4, 5), reached(4, 5), reached(7, 8), lost(3, 4), pending(6))));

        // Aalen-Johansen by hand: S(3)=5/6, S(4)=4/6, at 5 two of four go, at 8 the last of one goes.
        assertThat(curve.atLeast(Outcome.REACHED, 3)).isCloseTo(1 / 6.0, SIX_FIGURES);
        assertThat(curve.atLeast(Outcome.REACHED, 5)).isCloseTo(1 / 6.0 + 4 / 6.0 * 2 / 4, SIX_FIGURES);
        assertThat(curve.atLeast(Outcome.REACHED, 8)).isCloseTo(1 / 6.0 + 2 / 6.0 + 2 / 6.0, within(1e-5));
        assertThat(curve.atLeast(Outcome.LOST, 8)).isCloseTo(1 / 6.0, SIX_FIGURES);
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void everyCurveIsASharingOutThatNeverFalls(long seed) {
        List<Interval> records = RandomRecords.of(seed, 120);
        RootingCurve curve = RootingCurve.fit(Tallies.of(records));

        double sum = curve.share(Outcome.REACHED) + curve.share(Outcome.LOST) + curve.neither();
        assertThat(sum).isCloseTo(1, within(1e-9));
        IntStream.range(1, 80).forEach(day -> {
            for (Outcome cause : List.of(Outcome.REACHED, Outcome.LOST)) {
                assertThat(curve.atLeast(cause, day)).isGreaterThanOrEqualTo(curve.atLeast(cause, day - 1));
                assertThat(curve.atMost(cause, day)).isGreaterThanOrEqualTo(curve.atLeast(cause, day));
            }
        });
    }

    @ParameterizedTest
    @ValueSource(longs = {21, 22, 23, 24})
    void theOrderOfRecordsDoesNotMatter(long seed) {
        List<Interval> records = new ArrayList<>(RandomRecords.of(seed, 80));
        RootingCurve before = RootingCurve.fit(Tallies.of(records));
        Collections.shuffle(records, new Random(seed));

        RootingCurve after = RootingCurve.fit(Tallies.of(records));

        assertThat(after.reached()).isEqualTo(before.reached());
        assertThat(after.lost()).isEqualTo(before.lost());
    }

    @ParameterizedTest
    @ValueSource(longs = {31, 32, 33, 34, 35, 36})
    void noSmallMoveOfMassDoesBetter(long seed) {
        Tallies tallies = Tallies.of(RandomRecords.of(seed, 60));
        CompetingMasses masses = new CompetingMasses(tallies);
        double[] best = masses.maximum();
        double most = masses.logLikelihood(best);

        for (int from = 0; from < best.length; from++) {
            for (int to = 0; to < best.length; to++) {
                double moved = Math.min(best[from], 1e-3);
                if (from != to && moved > 0) {
                    double[] other = best.clone();
                    other[from] -= moved;
                    other[to] += moved;
                    assertThat(masses.logLikelihood(other)).isLessThanOrEqualTo(most + 1e-7);
                }
            }
        }
    }

    private static void assertMasses(List<RootingCurve.Mass> masses, double[][] expected) {
        assertThat(masses).hasSize(expected.length);
        for (int j = 0; j < expected.length; j++) {
            assertThat((double) masses.get(j).after()).isEqualTo(expected[j][0]);
            assertThat((double) masses.get(j).by()).isEqualTo(expected[j][1]);
            assertThat(masses.get(j).share()).isCloseTo(expected[j][2], SIX_FIGURES);
        }
    }

    @Test
    void theRoughCurveOfABandIsWithinATenThousandthOfTheExactOne() {
        double worst = 0;
        for (int set = 0; set < 40; set++) {
            Tallies pooled = Tallies.of(RandomRecords.of(100 + set, 900));
            RootingCurve exact = RootingCurve.fit(pooled);
            RootingCurve rough = RootingCurve.rough(pooled);
            for (int day = 0; day <= pooled.lastDay(); day++) {
                worst = Math.max(worst, Math.abs(middle(exact, day) - middle(rough, day)));
            }
        }
        assertThat(worst).isLessThan(0.0001);
    }

    private static double middle(RootingCurve curve, int day) {
        return (curve.atLeast(Outcome.REACHED, day) + curve.atMost(Outcome.REACHED, day)) / 2;
    }
}
