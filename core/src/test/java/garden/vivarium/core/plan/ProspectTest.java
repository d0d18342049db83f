package garden.vivarium.core.plan;

import static garden.vivarium.core.ExpectedAnswers.assertAnswer;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.FailuresShown;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;

/** What batches of one way share must not be added up as if it were independent. */
class ProspectTest {

    private static final Way WAY = new Way("Fuchsia", "soft", "tip cutting", "water", "");
    private static final Way OTHER = new Way("Sage", "soft", "tip cutting", "water", "");
    private static final Window GUIDE = new Window(7.5, 30);
    private static final int RATES = 16;
    private static final int SPEEDS = 21;

    private static PlannedPieces planned(Way way) {
        SharedDoubt doubt = new SharedDoubt(new StrikeRate(2.8, 1.2, 0.1, 0.7, 4, List.of()), time(0));
        return new PlannedPieces(way, doubt, doubt, rate -> rate, Optional.empty(), OutputRatio.one(), 1);
    }

    private static RootingTime time(double unsure) {
        return new RootingTime(GUIDE.mu(), 0, unsure, 0.2, RootingTime.guideWithin(GUIDE), 0);
    }

    @Test
    void plansOfOneWayHoldTheirWorkedValues() {
        Prospect of26 = planned(WAY).prospect(26);
        assertAnswer(
                "shared two of 26",
                Prospect.together(List.of(of26, of26), RATES, SPEEDS).atLeast(24));
        assertAnswer("independent two of 26", of26.alone().and(of26.alone()).atLeast(24));
        assertAnswer(
                "shared two of 33",
                Prospect.together(Collections.nCopies(2, planned(WAY).prospect(33)), RATES, SPEEDS)
                        .atLeast(24));
        Supply four = Prospect.together(Collections.nCopies(4, planned(WAY).prospect(24)), RATES, SPEEDS);
        assertAnswer("shared four of 24 give 51", four.atLeast(51));
        assertAnswer("shared four of 24 give 36", four.atLeast(36));
    }

    @Test
    void twoRunningBatchesOfOneWayHoldTheirWorkedValues() {
        Tallies first = Tallies.of(Map.of(
                Interval.reached(7, 14),
                6L,
                Interval.reached(14, 21),
                12L,
                Interval.lost(7, 21),
                5L,
                Interval.pending(21),
                17L));
        Tallies second =
                Tallies.of(Map.of(Interval.reached(14, 21), 9L, Interval.lost(14, 21), 1L, Interval.pending(21), 10L));
        SharedDoubt doubt = new SharedDoubt(new StrikeRate(41, 15, 0.08, 0.7, 4, List.of()), time(0.01));
        List<Prospect> both = List.of(
                new RunningPieces(WAY, doubt, FailuresShown.exactly(0.3), first).by(35),
                new RunningPieces(WAY, doubt, FailuresShown.exactly(0.3), second).by(35));

        Supply more = Prospect.together(both, RATES, SPEEDS);
        assertAnswer("two batches 10 more", more.atLeast(10));
        assertAnswer("two batches 12 more", more.atLeast(12));
        assertAnswer("two batches mean", more.mean());
        assertThat(Prospect.together(both).atLeast(12))
                .as("the nodes that pages use")
                .isCloseTo(more.atLeast(12), within(2e-3));
    }

    @Test
    void waysThatDifferAreIndependentAndOneAloneIsItself() {
        Prospect one = planned(WAY).prospect(26);
        Prospect other = planned(OTHER).prospect(26);

        assertThat(Prospect.together(List.of(one, other)).atLeast(30))
                .isCloseTo(one.alone().and(other.alone()).atLeast(30), within(1e-12));
        assertThat(Prospect.together(List.of(one)).atLeast(20))
                .isEqualTo(one.alone().atLeast(20));
        assertThat(Prospect.together(List.of(one, Prospect.of(Supply.exactly(5))))
                        .atLeast(25))
                .isCloseTo(one.alone().atLeast(20), within(1e-12));
    }

    @Test
    void whatIsDoneWithASupplyIsDoneForEveryValueOfWhatIsShared() {
        Prospect firstTen = planned(WAY).prospect(26).then(s -> s.atMost(10));
        Prospect rest = planned(WAY).prospect(26).then(s -> s.beyond(10));

        Supply together = Prospect.together(List.of(firstTen, rest));
        assertThat(together.mean())
                .as("shares of two batches alike add up to a batch and a batch")
                .isCloseTo(firstTen.alone().mean() + rest.alone().mean(), within(0.02));
    }

    @Test
    void agreesWithSimulationWhereTheSpeedOfTheWayIsUnsureToo() {
        SharedDoubt doubt = new SharedDoubt(new StrikeRate(7, 3, 0.08, 0.7, 4, List.of()), time(1.0 / 16));
        PlannedPieces pieces = new PlannedPieces(WAY, doubt, doubt, r -> r, Optional.of(24.0), OutputRatio.one(), 1);
        double said = Prospect.together(List.of(pieces.prospect(20), pieces.prospect(20), pieces.prospect(20)))
                .atLeast(24);

        RandomDataGenerator draws = new RandomDataGenerator(77);
        int runs = 40_000;
        int met = 0;
        for (int run = 0; run < runs; run++) {
            double mean = draws.nextBeta(7, 3);
            double way = draws.nextNormal(0, 0.25);
            int ready = 0;
            for (int batch = 0; batch < 3; batch++) {
                double p = draws.nextBeta(mean * 11.5, (1 - mean) * 11.5);
                double there = p * doubt.time().by(24, way + draws.nextNormal(0, 0.2));
                for (int i = 0; i < 20; i++) {
                    ready += draws.nextUniform(0, 1) < there ? 1 : 0;
                }
            }
            met += ready >= 24 ? 1 : 0;
        }
        double came = (double) met / runs;
        assertThat(said).isCloseTo(came, within(4 * Math.sqrt(came * (1 - came) / runs)));
    }
}
