package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunningBatchTest {

    private static final Window GUIDE = new Window(7.5, 30);
    private static final NextBatch RATE = new StrikeRate(41, 15, 0.08, 0.7, 4, List.of()).nextBatch();
    private static final RootingTime TIME =
            new RootingTime(GUIDE.mu(), 0, 0.02, 0.2, RootingTime.guideWithin(GUIDE), 3);
    private static final BatchPrior PRIOR = new BatchPrior(RATE, TIME, ShownTable.ofGuide(TIME, 0.08));

    /** By a plain sum over a fine grid of p and x, in logarithms, with a share of failures shown that is known. */
    @ParameterizedTest
    @CsvSource({
        "40, 18, 5, 21, 35",
        "40, 0, 0, 21, 35",
        "40, 36, 1, 28, 60",
        "2000, 900, 250, 21, 35",
        "2000, 0, 0, 14, 35",
        "2000, 0, 0, 45, 90",
        "2000, 1990, 3, 21, 35",
    })
    void isHeldByAFarFinerSum(int pieces, int ready, int lost, int day, int then) {
        int pending = pieces - ready - lost;
        double shown = 0.3;
        Tallies tallies = looked(day, ready, lost, pending);
        RunningBatch batch = RunningBatch.of(new BatchPrior(RATE, TIME, FailuresShown.exactly(shown)), tallies);

        double best = Double.NEGATIVE_INFINITY;
        int rates = 6000;
        double[][] logs = new double[241][rates];
        for (int j = 0; j < logs.length; j++) {
            double z = -6 + 0.05 * j;
            double now = TIME.by(day, z * TIME.ofNextBatch());
            for (int i = 0; i < rates; i++) {
                double p = (i + 0.5) / rates;
                logs[j][i] = -z * z / 2
                        + (RATE.a() - 1 + ready) * Math.log(p)
                        + (RATE.b() - 1 + lost) * Math.log1p(-p)
                        + (ready == 0 ? 0 : ready * Math.log(Math.max(1e-300, now)))
                        + lost * Math.log(shown)
                        + pending * Math.log(p * (1 - now) + (1 - p) * (1 - shown));
                best = Math.max(best, logs[j][i]);
            }
        }
        double all = 0;
        double rate = 0;
        double ever = 0;
        double by = 0;
        for (int j = 0; j < logs.length; j++) {
            double away = (-6 + 0.05 * j) * TIME.ofNextBatch();
            double now = TIME.by(day, away);
            double later = TIME.by(then, away);
            for (int i = 0; i < rates; i++) {
                double p = (i + 0.5) / rates;
                double w = Math.exp(logs[j][i] - best);
                double d = p * (1 - now) + (1 - p) * (1 - shown);
                all += w;
                rate += w * p;
                ever += w * p * (1 - now) / d;
                by += w * p * (later - now) / d;
            }
        }
        assertThat(batch.rate()).as("rate").isCloseTo(rate / all, within(1e-3));
        assertThat(batch.everReady()).as("ever").isCloseTo(ever / all, within(2e-3));
        assertThat(batch.readyBy(then)).as("by day " + then).isCloseTo(by / all, within(2e-3));
        double[] more = batch.more(then);
        assertThat(Arrays.stream(more).sum()).isCloseTo(1, within(1e-9));
        assertThat(mean(more)).isCloseTo(pending * batch.readyBy(then), within(1e-6 * pieces));
    }

    /** Batches drawn from what was expected, kept only where they stand as this one does: they go on as it is said. */
    @Test
    void agreesWithBatchesThatStoodTheSameWhereHalfOfTheFailuresEverShow() {
        Random random = new Random(5);
        RandomDataGenerator draws = new RandomDataGenerator(6);
        int n = 12;
        int alike = 0;
        double later = 0;
        double square = 0;
        for (int run = 0; run < 400_000; run++) {
            double p = draws.nextBeta(RATE.a(), RATE.b());
            double x = TIME.ofNextBatch() * random.nextGaussian();
            int ready = 0;
            int lost = 0;
            int then = 0;
            for (int i = 0; i < n; i++) {
                double day = Math.exp(TIME.mu() + x + TIME.within() * random.nextGaussian());
                boolean strikes = random.nextDouble() < p;
                ready += strikes && day <= 14 ? 1 : 0;
                lost += !strikes && random.nextDouble() < 0.5 ? 1 : 0;
                then += strikes && day > 14 && day <= 24 ? 1 : 0;
            }
            if (ready == 4 && lost == 2) {
                alike++;
                later += then;
                square += then * then;
            }
        }
        double mean = later / alike;
        double error = Math.sqrt((square / alike - mean * mean) / alike);
        Tallies tallies =
                Tallies.of(Map.of(Interval.reached(0, 14), 4L, Interval.lost(0, 14), 2L, Interval.pending(14), 6L));

        assertThat(mean(RunningBatch.of(new BatchPrior(RATE, TIME, FailuresShown.exactly(0.5)), tallies)
                        .more(24)))
                .isCloseTo(mean, within(4 * error + 0.01));
    }

    @Test
    void aLookFromAboveThatSawOnePieceLostSaysNothingOfTheRootsOfTheOthers() {
        Tallies before = Tallies.of(Map.of(Interval.reached(14, 21), 10L, Interval.pending(21), 14L));
        Tallies after = Tallies.of(
                Map.of(Interval.reached(14, 21), 10L, Interval.pending(21, 60), 13L, Interval.lost(21, 60), 1L));
        double then = RunningBatch.of(PRIOR, before).rate();
        double now = RunningBatch.of(PRIOR, after).rate();

        assertThat(now).isCloseTo(then, within(0.06));
        Tallies knowing =
                Tallies.of(Map.of(Interval.reached(14, 21), 10L, Interval.pending(60), 13L, Interval.lost(21, 60), 1L));
        assertThat(RunningBatch.of(PRIOR, knowing).rate())
                .as("a look that could know of roots says much")
                .isLessThan(then - 0.15);
    }

    @Test
    void eachPieceIsJudgedByItsOwnLastLook() {
        Tallies partly =
                Tallies.of(Map.of(Interval.reached(14, 21), 6L, Interval.pending(45), 4L, Interval.pending(7), 10L));
        RunningBatch batch = RunningBatch.of(PRIOR, partly);

        assertThat(batch.waiting()).hasSize(2);
        RunningBatch.Waiting early = batch.waiting().get(0);
        RunningBatch.Waiting late = batch.waiting().get(1);
        assertThat(early.after()).isEqualTo(7);
        assertThat(early.everReady()).isGreaterThan(late.everReady() + 0.3);
        assertThat(mean(batch.more(Double.POSITIVE_INFINITY)))
                .isCloseTo(10 * early.everReady() + 4 * late.everReady(), within(1e-6));
    }

    @Test
    void tenOfSixtyOnADayWhenMostShouldBeThereIsSlowOrPoorAndNotHopeless() {
        RootingTime time = new RootingTime(Math.log(45), 0, 1.0 / 16, 0.25, 0.3, 0);
        BatchPrior prior = new BatchPrior(new NextBatch(4, 2), time, ShownTable.ofGuide(time, 0.08));
        RunningBatch batch =
                RunningBatch.of(prior, Tallies.of(Map.of(Interval.reached(30, 43), 10L, Interval.pending(43), 50L)));

        assertThat(batch.everReady()).isGreaterThan(0.3);
    }

    @Test
    void nothingLooksLostAndYetSomeMayHaveFailed() {
        Tallies none = Tallies.of(Map.of(Interval.reached(0, 28), 18L, Interval.pending(28), 22L));
        double hidden = RunningBatch.of(new BatchPrior(RATE, TIME, FailuresShown.exactly(0.01)), none)
                .everReady();
        double shown = RunningBatch.of(new BatchPrior(RATE, TIME, FailuresShown.exactly(0.9)), none)
                .everReady();

        assertThat(shown)
                .as("where failures show, those that stand will mostly come")
                .isGreaterThan(0.8);
        assertThat(hidden).isLessThan(shown - 0.25);
    }

    @Test
    void sentPiecesEndAtTheirOwnLastLookAndAreNotToCome() {
        Tallies sent =
                Tallies.of(Map.of(Interval.reached(7, 14), 6L, Interval.sent(14, 14), 10L, Interval.pending(14), 4L));

        assertThat(RunningBatch.of(PRIOR, sent).more(60)).hasSize(5);
    }

    @Test
    void aBatchThatIsOverTellsWhatItCounted() {
        Tallies over = Tallies.of(Map.of(Interval.reached(7, 14), 15L, Interval.lost(7, 14), 5L));
        RunningBatch batch = RunningBatch.of(PRIOR, over);

        double[] told = batch.asFinished(RATE, 20);
        assertThat(told[0]).isCloseTo(15, within(0.02));
        assertThat(told[1]).isCloseTo(20, within(0.02));
        double[] capped = batch.asFinished(RATE, 10);
        assertThat(capped[1]).as("no more than the pieces that can tell").isCloseTo(10, within(1e-9));
        assertThat(capped[0] / capped[1]).isCloseTo(told[0] / told[1], within(1e-9));
        double a = RATE.a() + 15;
        double b = RATE.b() + 5;
        assertThat(batch.rate()).isCloseTo(a / (a + b), within(1e-4));
        assertThat(batch.rateDeviation()).isCloseTo(Math.sqrt(a * b / (a + b + 1)) / (a + b), within(1e-4));
    }

    @Test
    void whatIsToldLeavesTheMeanWhereTheBatchHasIt() {
        for (Tallies looks : List.of(
                Tallies.of(Map.of(Interval.pending(20), 20L)),
                Tallies.of(Map.of(Interval.pending(40), 20L)),
                Tallies.of(Map.of(Interval.reached(7, 14), 1L, Interval.pending(16), 19L)),
                Tallies.of(Map.of(Interval.reached(7, 14), 9L, Interval.pending(14), 11L)))) {
            RunningBatch batch = RunningBatch.of(PRIOR, looks);
            double[] told = batch.asFinished(RATE, 20);

            assertThat(told[0]).isBetween(0.0, told[1]);
            assertThat((RATE.a() + told[0]) / (RATE.a() + RATE.b() + told[1]))
                    .as(looks.toString())
                    .isCloseTo(batch.rate(), within(1e-9));
        }
    }

    @Test
    void theRoughSumAgreesToTheSecondFigure() {
        Tallies tallies = Tallies.of(Map.of(
                Interval.reached(7, 14),
                6L,
                Interval.reached(14, 21),
                12L,
                Interval.lost(7, 21),
                5L,
                Interval.pending(21),
                17L));
        RunningBatch fine = RunningBatch.of(PRIOR, tallies);
        RunningBatch rough = RunningBatch.roughly(PRIOR, tallies);

        assertThat(rough.logEvidence()).isCloseTo(fine.logEvidence(), within(0.01));
        assertThat(rough.rate()).isCloseTo(fine.rate(), within(2e-3));
        assertThat(mean(rough.more(35))).isCloseTo(mean(fine.more(35)), within(0.03));
    }

    @Test
    void ratesThatAreAlmostAllOrNothingAreReckoned() {
        BatchPrior prior = new BatchPrior(new NextBatch(0.4, 0.02), TIME, PRIOR.shown());
        RunningBatch batch =
                RunningBatch.of(prior, Tallies.of(Map.of(Interval.reached(7, 14), 3L, Interval.pending(14), 9L)));

        assertThat(batch.rate()).isBetween(0.5, 1.0);
        assertThat(batch.everReady()).isBetween(0.3, 1.0);
    }

    /** The evidence by itself is that of the whole sum. */
    @ParameterizedTest
    @CsvSource({"40, 18, 5, 21", "40, 0, 0, 21", "104, 20, 0, 28", "2000, 900, 250, 21", "2000, 0, 0, 45"})
    void theEvidenceAloneIsTheSame(int pieces, int ready, int lost, int day) {
        Tallies tallies = looked(day, ready, lost, pieces - ready - lost);
        for (BatchPrior prior : List.of(PRIOR, PRIOR.slower(Math.log(1.35)), PRIOR.remembered())) {
            assertThat(RunningBatch.logEvidence(prior, tallies))
                    .isCloseTo(RunningBatch.of(prior, tallies).logEvidence(), within(2e-3));
        }
    }

    private static Tallies looked(int day, long ready, long lost, long pending) {
        return Tallies.of(
                Map.of(Interval.reached(0, day), ready, Interval.lost(0, day), lost, Interval.pending(day), pending));
    }

    private static double mean(double[] chances) {
        double sum = 0;
        for (int k = 1; k < chances.length; k++) {
            sum += k * chances[k];
        }
        return sum;
    }
}
