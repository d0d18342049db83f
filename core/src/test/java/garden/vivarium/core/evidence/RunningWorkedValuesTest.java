package garden.vivarium.core.evidence;

import static garden.vivarium.core.ExpectedAnswers.assertAnswer;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.Overdispersion.WayCounts;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The answers that were written down before running batches, times and spreads were reckoned anew. */
class RunningWorkedValuesTest {

    private static final int[] KEPT = {18, 31, 9, 40, 22, 13, 27, 35};
    private static final int[] STUCK = {24, 36, 20, 48, 36, 24, 30, 40};
    private static final Window GUIDE = new Window(7.5, 30);
    private static final double RHO = 0.08;
    private static final StrikeRate STRIKE = new StrikeRate(41, 15, RHO, 0.7, 4, List.of());

    /** Batch 6b: forty stuck, eighteen ready, five lost, seventeen pending on day 21. */
    private static final Tallies RUNNING = Tallies.of(Map.of(
            Interval.reached(7, 14),
            6L,
            Interval.reached(14, 21),
            12L,
            Interval.lost(7, 21),
            5L,
            Interval.pending(21),
            17L));

    private static RootingTime time(double unsure, double tau, double within) {
        return new RootingTime(GUIDE.mu(), 0, unsure, tau, within, 0);
    }

    private static RootingTime time(double tau) {
        return time(0, tau, RootingTime.guideWithin(GUIDE));
    }

    private static ShownByRecord shown() {
        Tallies finished =
                Tallies.of(Map.of(Interval.lost(7, 14), 3L, Interval.lost(14, 28), 4L, Interval.givenUp(28, 28), 3L));
        return new ShownByRecord(
                time(0.2), List.of(List.of(new ShownByRecord.Failed(FailedSum.of(List.of(finished), RHO), 1))), RHO);
    }

    @Test
    void spreadBetweenBatches() {
        List<WayCounts> four = new ArrayList<>();
        for (int i = 0; i < KEPT.length; i += 2) {
            four.add(new WayCounts(0.7, List.of(new int[] {KEPT[i], STUCK[i]}, new int[] {KEPT[i + 1], STUCK[i + 1]})));
        }
        assertAnswer("rho four ways of two", Overdispersion.estimate(four).rho());
        assertAnswer(
                "rho four ways kappa 4 alone", Overdispersion.estimate(four, 4).rho());
        List<WayCounts> allStruck = List.of(new WayCounts(0.7, Collections.nCopies(20, new int[] {24, 24})));
        assertAnswer("rho twenty all struck", Overdispersion.estimate(allStruck).rho());
        List<WayCounts> thirty = new ArrayList<>();
        for (int copy = 0; copy < 3; copy++) {
            for (int k : new int[] {10, 14, 16, 17, 18, 19, 20, 21, 22, 23}) {
                thirty.add(new WayCounts(0.7, List.of(new int[] {k, 24})));
            }
        }
        assertAnswer("rho thirty ways of one", Overdispersion.estimate(thirty).rho());
    }

    @Test
    void aWindowLeavesItsSpreadWithinBatches() {
        assertAnswer("window mu", GUIDE.mu());
        assertAnswer("window sigma", GUIDE.sigma());
        assertAnswer("window within", RootingTime.guideWithin(GUIDE));
    }

    @Test
    void timesThatAreAllKnownHaveTheirGreatestLikelihood() {
        double best = allReady(2.722599, 0.540853);
        assertAnswer("times maximum log", best);
        for (double step : new double[] {-0.01, 0.01}) {
            assertThat(allReady(2.722599 + step, 0.540853)).isLessThan(best);
            assertThat(allReady(2.722599, 0.540853 + step)).isLessThan(best);
        }
    }

    /** ln of the likelihood of data 4a: under a rate of any size with equal chance nine of nine add −ln 10. */
    private static double allReady(double mu, double within) {
        BatchPrior prior = new BatchPrior(
                new NextBatch(1, 1), new RootingTime(mu, 0, 0, 0, within, 0), FailuresShown.exactly(0.5));
        return RunningBatch.of(prior, WorkedValues.ALL_READY).logEvidence() + Math.log(10);
    }

    @Test
    void whatABatchSaysOfItsSpeed() {
        // The answers were worked out with the span of the normal law at six figures, 2.563103.
        double sigma = (Math.log(30) - Math.log(7.5)) / 2.563103;
        SpeedMessage message =
                SpeedMessage.of(WorkedValues.ALL_READY, GUIDE.mu(), Math.sqrt(sigma * sigma - 0.04), NextBatch.EVEN);

        assertAnswer("message mean", message.mean());
        assertAnswer("message variance", message.variance());
        assertAnswer("message q", message.q());
        assertAnswer("message r", message.r());
    }

    @Test
    void spreadWithinBatches() {
        double[] logs = new double[WithinSpread.FACTORS.length];
        for (int i = 0; i < logs.length; i++) {
            logs[i] = SpeedMessage.of(
                            WorkedValues.ALL_READY,
                            GUIDE.mu(),
                            RootingTime.guideWithin(GUIDE) * WithinSpread.FACTORS[i],
                            NextBatch.EVEN)
                    .logEvidence();
        }
        assertAnswer("spread of data 4a", WithinSpread.of(List.of(logs)));
        assertAnswer("spread without data", WithinSpread.withoutData());
    }

    @Test
    void spreadOfSpeedBetweenBatches() {
        assertAnswer("tau without data", SpeedSpread.withoutData().tau());
        assertAnswer(
                "tau of two ways",
                SpeedSpread.of(List.of(
                                List.of(message(0.10, 0.01), message(0.35, 0.02), message(-0.05, 0.01)),
                                List.of(message(0.20, 0.01), message(0.50, 0.03))))
                        .tau());
    }

    private static SpeedMessage message(double m, double variance) {
        return new SpeedMessage(1 / variance, m / variance, 0, 1, 0);
    }

    @Test
    void theTimeOfAWayFromMessagesOfItsBatches() {
        double precision = 16;
        double weighted = 0;
        for (SpeedMessage m : List.of(message(0.10, 0.01), message(0.35, 0.02), message(-0.05, 0.01))) {
            precision += m.q() / (1 + m.q() * 0.04);
            weighted += m.r() / (1 + m.q() * 0.04);
        }
        assertAnswer("way M", weighted / precision);
        assertAnswer("way V", 1 / precision);
    }

    @Test
    void allReadyAtAFirstEarlyLookIsNoMedianOfADay() {
        Way way = new Way("Fuchsia", "soft", "tip cutting", "water", "");
        GuideFigures guide = new GuideFigures(0.7, Optional.empty(), new Window(14, 35));
        WayBatch batch = WayBatch.of(way, Tallies.none(), Tallies.of(Map.of(Interval.reached(0, 7), 40L)));

        RootingTime time = NurseryRecord.of(List.of(batch), w -> guide).ready(way);

        assertAnswer("far off median", Math.exp(time.mu()));
        assertAnswer("far off M", time.shift());
        assertAnswer("far off root V", Math.sqrt(time.unsure()));
        assertAnswer("far off tau", time.tau());
        assertAnswer("far off spread", time.within());
    }

    @Test
    void howSoonFailuresShowThemselves() {
        StrikeRate mean = shown().mean(21);
        assertAnswer("failures shown alpha", mean.alpha());
        assertAnswer("failures shown beta", mean.beta());
        assertAnswer("failures shown widened a", shown().by(21).a());
        assertAnswer("failures shown widened b", shown().by(21).b());
        double[] values = shown().values(21);
        assertThat(values).hasSize(9);
        assertAnswer("failures shown first", values[0]);
        assertAnswer("failures shown middle", values[4]);
        assertAnswer("failures shown last", values[8]);
    }

    @Test
    void aRunningBatchWhereTheShareOfFailuresShownIsKnown() {
        Tallies counts =
                Tallies.of(Map.of(Interval.reached(0, 21), 18L, Interval.lost(0, 21), 5L, Interval.pending(21), 17L));
        RunningBatch batch = RunningBatch.of(
                new BatchPrior(
                        STRIKE.nextBatch(),
                        new RootingTime(GUIDE.mu(), 0, 0, 0, GUIDE.sigma(), 0),
                        FailuresShown.exactly(0.5)),
                counts);

        assertAnswer("known share 24 by 35", atLeast(batch.more(35), 6));
    }

    @Test
    void aRunningBatchByItself() {
        RunningBatch batch = RunningBatch.of(new BatchPrior(STRIKE.nextBatch(), time(0.2), shown()), RUNNING);

        double[] more = batch.more(35);
        assertAnswer("running 24 by 35", atLeast(more, 6));
        double mean = 0;
        for (int k = 0; k < more.length; k++) {
            mean += k * more[k];
        }
        assertAnswer("running more by 35", mean);
        assertThat(17 * batch.readyBy(35)).isCloseTo(mean, within(1e-9));
        assertAnswer("running pending ever", batch.everReady());
        assertAnswer("running p", batch.rate());
        assertAnswer("running sd", batch.rateDeviation());
        double[] tells = batch.asFinished(STRIKE.nextBatch(), 40);
        assertAnswer("running kept", tells[0]);
        assertAnswer("running of", tells[1]);
    }

    @Test
    void theNextLookAndTheAlarmOfTheRunningBatch() {
        BatchPrior prior = new BatchPrior(STRIKE.nextBatch(), time(0.2), shown());
        RunningBatch batch = RunningBatch.of(prior, RUNNING);

        assertThat(batch.readyBy(27)).isLessThan(0.3);
        assertAnswer("next look chance", batch.readyBy(28));
        double slow = RunningBatch.of(prior.slower(Math.log(1.35)), RUNNING).logEvidence();
        assertAnswer("slow times", Math.exp(slow - batch.logEvidence()));
    }

    @Test
    void theTailOfAPoorLook() {
        Tallies known = Tallies.of(Map.of(Interval.reached(0, 21), 11L, Interval.pending(21), 29L));
        RootingTime ofOneSpeed = new RootingTime(GUIDE.mu(), 0, 0, 0, GUIDE.sigma(), 0);
        double within = Math.sqrt(GUIDE.sigma() * GUIDE.sigma() - 0.04);

        assertAnswer(
                "tail tau 0.2",
                ReadyTail.of(STRIKE.nextBatch(), time(0, 0.2, within), known).atMost(11));
        assertAnswer(
                "tail tau 0",
                ReadyTail.of(STRIKE.nextBatch(), ofOneSpeed, known).atMost(11));
    }

    private static double atLeast(double[] chances, int number) {
        double sum = 0;
        for (int k = number; k < chances.length; k++) {
            sum += chances[k];
        }
        return sum;
    }
}
