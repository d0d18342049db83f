package garden.vivarium.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.BatchHistory;
import garden.vivarium.core.looks.Look;
import garden.vivarium.core.looks.MilestoneSigns;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.LookKind;
import garden.vivarium.core.timing.Milestone;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;

class SimulatedBatchTest {

    private static final TrueRates TRUTH =
            new TrueRates(0.7, 0.08, 0.15, Optional.of(new Window(8, 20)), new Window(16, 40), 0.6);

    @Test
    void theSameSeedGivesTheSameBatch() {
        assertThat(SimulatedBatch.draw(TRUTH, 30, new RandomDataGenerator(5)).states(25))
                .isEqualTo(SimulatedBatch.draw(TRUTH, 30, new RandomDataGenerator(5))
                        .states(25));
    }

    @Test
    void statesAndCountsAgree() {
        SimulatedBatch batch = SimulatedBatch.draw(TRUTH, 200, new RandomDataGenerator(6));
        for (int day : new int[] {5, 15, 30, 90}) {
            SimulatedBatch.Seen seen = batch.on(day);
            List<PieceState> states = batch.states(day);
            assertThat(states.stream().filter(s -> s == PieceState.READY).count())
                    .isEqualTo(seen.ready());
            assertThat(states.stream().filter(s -> s == PieceState.LOST).count())
                    .isEqualTo(seen.lost());
            assertThat(seen.firstSign()).isGreaterThanOrEqualTo(seen.ready());
        }
    }

    @Test
    void manyBatchesHaveTheRateTheDaysAndTheLossesOfTheTruth() {
        RandomDataGenerator random = new RandomDataGenerator(11);
        int batches = 400;
        int ready = 0;
        int readyByMedian = 0;
        int signByMedian = 0;
        int lost = 0;
        int lostEarly = 0;
        int median = (int) Math.round(Math.sqrt(16 * 40));
        for (int i = 0; i < batches; i++) {
            SimulatedBatch batch = SimulatedBatch.draw(TRUTH, 50, random);
            ready += batch.on(1000).ready();
            lost += batch.on(1000).lost();
            readyByMedian += batch.on(median).ready();
            signByMedian += batch.on(13).firstSign();
            lostEarly += batch.on(5).lost();
            assertThat(batch.on(1000).firstSign()).isEqualTo(batch.on(1000).ready());
            assertThat(batch.states(13).stream()
                            .filter(s -> s == PieceState.FIRST_SIGN)
                            .count())
                    .isEqualTo(batch.on(13).firstSign() - batch.on(13).ready());
        }
        double pieces = batches * 50.0;
        assertThat(ready / pieces).isCloseTo(0.7, within(0.03));
        assertThat(readyByMedian / (double) ready).as("half by the median").isCloseTo(0.5, within(0.06));
        assertThat(signByMedian / (double) ready)
                .as("half show a sign by day 13, √(8 · 20)")
                .isCloseTo(0.5, within(0.08));
        assertThat(lost / pieces).as("six in ten failures are seen").isCloseTo(0.3 * 0.6, within(0.03));
        assertThat(lostEarly)
                .as("none is lost before three twentieths of the window's end")
                .isZero();
    }

    @Test
    void whatTheLooksSayLeadsBackToTheTruth() {
        RandomDataGenerator random = new RandomDataGenerator(8);
        Way way = new Way("Fuchsia", "soft", "tip cutting", "water", "");
        GuideFigures guide = new GuideFigures(0.6, Optional.empty(), new Window(22, 55));
        List<WayBatch> batches = new ArrayList<>();
        long ready = 0;
        for (int b = 0; b < 60; b++) {
            SimulatedBatch batch = SimulatedBatch.draw(TRUTH, 40, random);
            List<Look> looks = new ArrayList<>();
            for (int day = 6 + b % 4; day < 90; day += 7) {
                SimulatedBatch.Seen seen = batch.on(day);
                looks.add(new Look.ByCount(
                        day, LookKind.LIFTED, OptionalInt.of(seen.firstSign()), seen.ready(), seen.lost(), 0));
            }
            BatchHistory history = BatchHistory.replay(40, MilestoneSigns.roots(), looks);
            ready += history.counts().ready();
            batches.add(WayBatch.of(
                    way, Tallies.none(), history.tallies(Milestone.READY).closed()));
        }

        NurseryRecord record = NurseryRecord.of(batches, w -> guide);
        RootingTime time = record.ready(way);

        assertThat(ready / 2400.0).isCloseTo(0.7, within(0.06));
        assertThat(record.strike(way).mean()).isCloseTo(0.7, within(0.05));
        assertThat(record.spread().rho()).isCloseTo(TRUTH.rho(), within(0.03));
        assertThat(time.mu()).isCloseTo(TRUTH.ready().mu(), within(0.06));
        assertThat(time.tau()).isCloseTo(TRUTH.tau(), within(0.05));
        double sigma = TRUTH.ready().sigma();
        assertThat(time.within()).isCloseTo(Math.sqrt(sigma * sigma - TRUTH.tau() * TRUTH.tau()), within(0.05));
    }

    /** All alike in rate, speed and day: the day on which they come is the truth's, to the day. */
    @Test
    void withoutSpreadAllComeOnTheDayOfTheTruth() {
        TrueRates sure = new TrueRates(0.9999, 1e-4, 0, Optional.of(new Window(9.9, 10.1)), new Window(29, 31), 0);
        SimulatedBatch batch = SimulatedBatch.draw(sure, 200, new RandomDataGenerator(3));

        assertThat(batch.on(5).firstSign()).isZero();
        assertThat(batch.on(15).firstSign()).isGreaterThanOrEqualTo(198);
        assertThat(batch.on(15).ready()).isZero();
        assertThat(batch.on(15).lost()).isZero();
        assertThat(batch.states(15)).filteredOn(s -> s == PieceState.FIRST_SIGN).hasSizeGreaterThanOrEqualTo(198);
        assertThat(batch.on(45).ready()).isGreaterThanOrEqualTo(198);
        assertThat(batch.on(45).firstSign()).isGreaterThanOrEqualTo(batch.on(45).ready());
    }

    @Test
    void lossesShowBetweenAnEarlyDayAndALittleAfterTheLastAreReady() {
        TrueRates poor = new TrueRates(1e-4, 1e-4, 0, Optional.empty(), new Window(20, 40), 1);
        SimulatedBatch batch = SimulatedBatch.draw(poor, 400, new RandomDataGenerator(3));

        assertThat(batch.on(5).lost()).as("0.15 of 40 days is day 6").isZero();
        assertThat(batch.on(25).lost()).as("(25 − 6) of 38 days: a half").isBetween(160, 240);
        assertThat(batch.on(44).lost()).isGreaterThanOrEqualTo(399);
        assertThat(batch.states(44)).filteredOn(s -> s == PieceState.LOST).hasSizeGreaterThanOrEqualTo(399);
    }
}
