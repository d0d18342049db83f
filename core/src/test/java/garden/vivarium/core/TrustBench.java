package garden.vivarium.core;

import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Hedge;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.TakeCount;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.watch.StillToCome;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;

/**
 * Whether intervals cover and plans deliver, by simulation of nurseries of thirty and more finished batches whose truth is
 * known, with unlimited time. Printed by {@code ./vivarium bench}; fixed seeds. Nothing is asserted: it is a measurement.
 */
class TrustBench {

    private static final int RUNS = 400;
    private static final int OTHER_WAYS = 10;
    private static final int BATCHES_A_WAY = 3;
    private static final int PIECES = 24;
    private static final double GUIDE = 0.7;
    private static final GuideFigures FIGURES = new GuideFigures(GUIDE, Optional.empty(), new Window(14, 35));

    @Test
    void intervalsCoverAndPlansDeliver() {
        System.out.println(
                "trust: 90% interval of the mean rate covers; plans of 24 asked 90% deliver; guide right, 0.15 high, 0.15 low");
        for (double rho : new double[] {0.001, 0.08, 0.2}) {
            for (int own : new int[] {1, 3, 8, 20}) {
                double covered = 0;
                double[] delivered = new double[3];
                for (int g = 0; g < 3; g++) {
                    double truth = GUIDE + new double[] {0, -0.15, 0.15}[g];
                    RandomDataGenerator random = new RandomDataGenerator(91 + own * 10 + g);
                    for (int run = 0; run < RUNS; run++) {
                        StrikeRate rate = rate(truth, rho, own, random);
                        covered += rate.quantile(0.05) <= truth && truth <= rate.quantile(0.95) ? 1 : 0;
                        int take = TakeCount.least(
                                        ReadyChance.withUnlimitedTime(rate.nextBatch()), OutputRatio.one(), 24, 0.9)
                                .orElseThrow()
                                .pieces();
                        delivered[g] += count(truth, rho, take, random) >= 24 ? 1 : 0;
                    }
                }
                System.out.printf(
                        Locale.ROOT,
                        "trust: rho %.2f, %2d own batches: covers %.1f%%; delivers %.1f%% (%.1f, %.1f, %.1f)%n",
                        rho,
                        own,
                        100 * covered / (3 * RUNS),
                        100 * (delivered[0] + delivered[1] + delivered[2]) / (3 * RUNS),
                        100 * delivered[0] / RUNS,
                        100 * delivered[1] / RUNS,
                        100 * delivered[2] / RUNS);
            }
        }
    }

    /** Asked 80, 90, 95%: delivered what, with all the time there is and with four weeks, batches of unequal rate and speed. */
    @Test
    void askedAndDelivered() {
        RootingTime time = RootingTime.ofGuide(FIGURES.ready());
        System.out.println(
                "trust: asked, own batches | delivered with unlimited time | in 28 days | split over two batches");
        for (double asked : new double[] {0.8, 0.9, 0.95}) {
            for (int own : new int[] {1, 3, 8, 20}) {
                RandomDataGenerator random = new RandomDataGenerator(17 + own);
                int unlimited = 0;
                int inTime = 0;
                int split = 0;
                for (int run = 0; run < RUNS; run++) {
                    NextBatch rate = rate(GUIDE, 0.08, own, random).nextBatch();
                    ReadyChance ever = ReadyChance.withUnlimitedTime(rate);
                    ReadyChance soon = ReadyChance.after(rate, time, 28);
                    unlimited += count(GUIDE, 0.08, take(ever, asked), random) >= 24 ? 1 : 0;
                    inTime += inTime(time, 28, take(soon, asked), random) >= 24 ? 1 : 0;
                    Hedge.Side side = new Hedge.Side(soon, OutputRatio.one());
                    Hedge hedge = Hedge.best(side, side, 24, 1, asked, 2000).orElseThrow();
                    split += inTime(time, 28, hedge.first(), random) + inTime(time, 28, hedge.second(), random) >= 24
                            ? 1
                            : 0;
                }
                System.out.printf(
                        Locale.ROOT,
                        "trust: asked %.0f%%, %2d own batches | %.1f%% | %.1f%% | %.1f%%%n",
                        100 * asked,
                        own,
                        100.0 * unlimited / RUNS,
                        100.0 * inTime / RUNS,
                        100.0 * split / RUNS);
            }
        }
    }

    /** A promise of 24 from 40 stuck, judged at a look on day 21: how often it is kept by day 35, by the chance then said. */
    @Test
    void promisesAreKeptAsOftenAsIsSaid() {
        RootingTime time = RootingTime.ofGuide(FIGURES.ready());
        NextBatch rate = new NextBatch(0.7 * 0.92 / 0.08, 0.3 * 0.92 / 0.08);
        RandomDataGenerator random = new RandomDataGenerator(5);
        int[] of = new int[5];
        int[] kept = new int[5];
        double[] said = new double[5];
        double within = Math.sqrt(time.sigma() * time.sigma() - time.tau() * time.tau());
        for (int run = 0; run < 10 * RUNS; run++) {
            double p = random.nextBeta(rate.a(), rate.b());
            double u = random.nextNormal(0, time.tau());
            int ready = 0;
            int lost = 0;
            int later = 0;
            for (int piece = 0; piece < 40; piece++) {
                double day = Math.exp(time.mu() + u + within * random.nextNormal(0, 1));
                boolean strikes = random.nextUniform(0, 1) < p;
                ready += strikes && day <= 21 ? 1 : 0;
                lost += !strikes && day <= 21 ? 1 : 0;
                later += strikes && day > 21 && day <= 35 ? 1 : 0;
            }
            double chance = new StillToCome(ready, lost, 40 - ready - lost, 21)
                    .readyBy(rate, time, 35)
                    .atLeast(24 - ready);
            int bin = Math.min(4, (int) (5 * chance));
            of[bin]++;
            said[bin] += chance;
            kept[bin] += ready + later >= 24 ? 1 : 0;
        }
        for (int bin = 0; bin < 5; bin++) {
            System.out.printf(
                    Locale.ROOT,
                    "trust: promise said %.0f%% on average over %d: kept %.0f%%%n",
                    100 * said[bin] / Math.max(1, of[bin]),
                    of[bin],
                    100.0 * kept[bin] / Math.max(1, of[bin]));
        }
    }

    private static int take(ReadyChance ready, double asked) {
        return TakeCount.least(ready, OutputRatio.one(), 24, asked)
                .orElseThrow()
                .pieces();
    }

    private static int inTime(RootingTime time, int days, int pieces, RandomDataGenerator random) {
        double strength = 0.92 / 0.08;
        double rate = random.nextBeta(GUIDE * strength, (1 - GUIDE) * strength);
        double there = time.by(days, random.nextNormal(0, time.tau()));
        int kept = 0;
        for (int piece = 0; piece < pieces; piece++) {
            kept += random.nextUniform(0, 1) < rate * there ? 1 : 0;
        }
        return kept;
    }

    /** The rate of one way with its own batches, in a nursery whose other batches are of unrelated methods. */
    private static StrikeRate rate(double truth, double rho, int own, RandomDataGenerator random) {
        Way way = new Way("Plant", "soft", "tip cutting", "water", "");
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < own; i++) {
            batches.add(batch(way, count(truth, rho, PIECES, random)));
        }
        for (int w = 0; w < OTHER_WAYS; w++) {
            Way other = new Way("Other " + w, "group " + w, "method " + w, "sand", "");
            double mean = random.nextBeta(14, 6);
            for (int i = 0; i < BATCHES_A_WAY; i++) {
                batches.add(batch(other, count(mean, rho, PIECES, random)));
            }
        }
        return NurseryRecord.of(batches, w -> FIGURES).strike(way);
    }

    private static WayBatch batch(Way way, int kept) {
        Tallies tallies =
                Tallies.of(Map.of(Interval.reached(14, 21), (long) kept, Interval.lost(14, 21), (long) PIECES - kept));
        return new WayBatch(way, PIECES, 0, 200, Tallies.none(), tallies);
    }

    private static int count(double mean, double rho, int pieces, RandomDataGenerator random) {
        double strength = (1 - rho) / rho;
        double rate = random.nextBeta(mean * strength, (1 - mean) * strength);
        int kept = 0;
        for (int piece = 0; piece < pieces; piece++) {
            kept += random.nextUniform(0, 1) < rate ? 1 : 0;
        }
        return kept;
    }
}
