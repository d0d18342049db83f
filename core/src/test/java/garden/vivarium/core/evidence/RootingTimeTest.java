package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RootingTimeTest {

    private static final Window WINDOW = new Window(14, 35);
    private static final GuideFigures GUIDE = new GuideFigures(0.7, Optional.empty(), WINDOW);
    private static final Way WAY = new Way("Fuchsia", "soft", "tip cutting", "water", "");
    private static final Way NEIGHBOUR = new Way("Sage", "soft", "tip cutting", "perlite", "");

    @Test
    void theWorkingHasWhatItIsMadeOf() {
        RootingTime time = new RootingTime(Math.log(20), 0.1, 0.04, 0.2, 0.3, 5);
        Working working = time.workingOfReady();

        assertThat(working.question().rule()).isEqualTo(RootingTime.Step.TO_READY);
        assertThat(time.workingOfFirstSign().question().rule()).isEqualTo(RootingTime.Step.TO_FIRST_SIGN);
        assertThat(working.steps().get(0).number("median")).isCloseTo(20, within(1e-9));
        assertThat(working.steps().get(0).number("days")).isCloseTo(20 * Math.exp(0.1), within(1e-9));
        assertThat(working.steps().get(0).number("unsure")).isCloseTo(0.2, within(1e-12));
        assertThat(working.steps().get(1)).isEqualTo(Statement.of(RootingTime.Step.SPREAD, "tau", 0.2, "within", 0.3));
        assertThat(working.steps().get(2).number("middle")).isCloseTo(20 * Math.exp(0.1), within(1e-9));
        assertThat(working.steps().get(2).number("early"))
                .isLessThan(working.steps().get(2).number("middle"));
        assertThat(time.workingOfFirstSign().steps()).isEqualTo(working.steps());
    }

    @Test
    void theGuideKeepsItsMedianAndSaysThatTheNurseryMayDiffer() {
        RootingTime time = RootingTime.ofGuide(WINDOW);

        assertThat(time.day(0.5)).isCloseTo(Math.sqrt(14 * 35), within(1e-9));
        assertThat(time.window().d10()).as("wider than the guide's own window").isLessThan(14);
        assertThat(time.window().d90()).isGreaterThan(35);
        assertThat(time.medianOnAverage().d10())
                .isGreaterThan(time.medianOfNextBatch().d10());
        assertThat(time.by(0)).isZero();
        assertThat(time.by(25, 0) + time.notBy(25, 0)).isCloseTo(1, within(1e-12));
    }

    @Test
    void aNurseryThatIsSlowerThanTheGuideIsLearned() {
        RootingTime none = record(0, 1.3).ready(WAY);
        RootingTime two = record(2, 1.3).ready(WAY);
        RootingTime eight = record(8, 1.3).ready(WAY);

        assertThat(none.shift()).isZero();
        assertThat(two.shift()).isBetween(0.08, Math.log(1.3));
        assertThat(eight.shift()).isBetween(two.shift(), Math.log(1.3) + 0.03).isGreaterThan(0.2);
        assertThat(eight.unsure()).isLessThan(two.unsure());
        assertThat(two.unsure()).isLessThan(none.unsure());
    }

    @Test
    void aBatchFarOutsideTheGuidesWindowIsNotPassedOver() {
        // Ready by day 12 where the guide says 200 to 230: some forty of its standard deviations away.
        GuideFigures narrow = new GuideFigures(0.7, Optional.empty(), new Window(200, 230));
        WayBatch batch = WayBatch.of(WAY, Tallies.none(), Tallies.of(Map.of(Interval.reached(8, 12), 24L)));
        RootingTime time = NurseryRecord.of(List.of(batch), w -> narrow).ready(WAY);

        assertThat(time.day(0.5)).isLessThan(190);
        assertThat(time.tau()).as("batches differ far more than is usual").isGreaterThan(0.5);
        List<WayBatch> six = Collections.nCopies(6, batch);
        assertThat(NurseryRecord.of(six, w -> narrow).ready(WAY).day(0.5)).isBetween(8.0, 120.0);
    }

    @Test
    void batchesThatDifferInSpeedMakeTheSpreadBetweenThemGreater() {
        List<WayBatch> alike = new ArrayList<>();
        List<WayBatch> unlike = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            alike.add(WayBatch.of(WAY, Tallies.none(), batch(1)));
            unlike.add(WayBatch.of(WAY, Tallies.none(), batch(i % 2 == 0 ? 0.7 : 1.45)));
        }
        double small = NurseryRecord.of(alike, w -> GUIDE).speed().tau();
        double great = NurseryRecord.of(unlike, w -> GUIDE).speed().tau();

        assertThat(small).isLessThan(0.15);
        assertThat(great).isGreaterThan(0.3);
    }

    @Test
    void aNeighboursTimeIsHandedOnWithMoreDoubt() {
        List<WayBatch> neighbours = Collections.nCopies(8, WayBatch.of(NEIGHBOUR, Tallies.none(), batch(1.3)));
        RootingTime handedOn = NurseryRecord.of(neighbours, w -> GUIDE).ready(WAY);
        RootingTime own = record(8, 1.3).ready(WAY);

        assertThat(handedOn.shift()).isBetween(0.1, own.shift() + 0.02);
        assertThat(handedOn.unsure()).isGreaterThan(own.unsure() + 0.02);
    }

    @Test
    void aSeasonsSlownessIsTakenOutOfABatchAndPutToTheAnswerOnce() {
        SeasonFactors winter = new SeasonFactors(1.6, 0.8);
        List<WayBatch> inWinter = Collections.nCopies(
                6, WayBatch.of(WAY, Tallies.none(), batch(1.6)).in(winter));
        NurseryRecord record = NurseryRecord.of(inWinter, w -> GUIDE);

        assertThat(record.ready(WAY).shift()).as("just as slow as a winter is").isCloseTo(0, within(0.03));
        assertThat(record.ready(WAY, winter).day(0.5)).isCloseTo(1.6 * Math.sqrt(14 * 35), within(1.5));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-7.5, -4.9999, -3.2, -0.001, 0, 1.7, 4.99, 5.01, 6})
    void theTableOfTheNormalLawIsExact(double z) {
        double exact = new NormalDistribution().cumulativeProbability(z);
        assertThat(StandardNormal.below(z)).isCloseTo(exact, within(1e-12)).isCloseTo(exact, within(1e-5 * exact));
    }

    @Test
    void whatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Window(20, 20)).hasMessageContaining("0 < d10 < d90");
        assertThatThrownBy(() -> new RootingTime(3, 0, 0, 0.2, 0, 0)).hasMessageContaining("s > 0");
        assertThatThrownBy(() -> new RootingTime(Double.NaN, 0, 0, 0.2, 0.3, 0)).hasMessageContaining("finite days");
    }

    private static NurseryRecord record(int batches, double slower) {
        return NurseryRecord.of(
                Collections.nCopies(batches, WayBatch.of(WAY, Tallies.none(), batch(slower))), w -> GUIDE);
    }

    /** Forty pieces spread as the guide's window has it, looked at every two days, thirty of which became ready. */
    private static Tallies batch(double slower) {
        List<Interval> intervals = new ArrayList<>();
        NormalDistribution normal = new NormalDistribution();
        for (int i = 0; i < 30; i++) {
            double day = slower
                    * Math.exp(WINDOW.mu()
                            + RootingTime.guideWithin(WINDOW) * normal.inverseCumulativeProbability((i + 0.5) / 30));
            int by = 2 * (int) Math.ceil(day / 2);
            intervals.add(Interval.reached(by - 2, by));
        }
        for (int i = 0; i < 10; i++) {
            intervals.add(i < 5 ? Interval.lost(20, 22) : Interval.givenUp(80, 80));
        }
        return Tallies.of(intervals);
    }
}
