package garden.vivarium.core.trust;

import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.Overdispersion;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.ShownTable;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Certainty;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.PlannedPieces;
import garden.vivarium.core.plan.Prospect;
import garden.vivarium.core.plan.ReadyByDay;
import garden.vivarium.core.plan.ReadyChance;
import garden.vivarium.core.plan.RunningPieces;
import garden.vivarium.core.plan.SharedDoubt;
import garden.vivarium.core.plan.Supply;
import garden.vivarium.core.plan.TakeCount;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.watch.Behind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Whether what is said holds, over simulated lives whose truth is known: printed by {@code ./vivarium bench trust}, every cell by
 * {@code --full}. Seeds are fixed. Nothing is asserted: it is a measurement, and a limit that is missed is said to be.
 */
@EnabledIfSystemProperty(named = "vivarium.trust", matches = "some|full")
@TestMethodOrder(MethodOrderer.MethodName.class)
class TrustBench {

    private static final boolean FULL = "full".equals(System.getProperty("vivarium.trust"));
    private static final int LIVES = Integer.getInteger("vivarium.trust.lives", 2000);
    private static final long SEED = Long.getLong("vivarium.trust.seed", 20261126L);
    private static final Window GUIDE = new Window(14, 35);
    private static final double GUIDE_RATE = 0.7;
    private static final GuideFigures FIGURES = new GuideFigures(GUIDE_RATE, Optional.of(new Window(8, 20)), GUIDE);
    private static final Way WAY = new Way("Plant", "soft", "tip cutting", "water", "");
    private static final Life.TrueBatch USUAL =
            new Life.TrueBatch(GUIDE, GUIDE_RATE, 0.08, 0, 0.2, 0.5, Life.Shows.AS_READY);
    private static final int OVER = 75;

    private Table table;
    private long begun;

    @AfterEach
    void close() {
        table.close();
        System.out.printf("trust: took %d s%n", (System.nanoTime() - begun) / 1_000_000_000L);
    }

    private Table begin(String name) {
        begun = System.nanoTime();
        table = new Table(name, LIVES);
        return table;
    }

    // --- Rates
    // ---------------------------------------------------------------------------------------------------------

    /** Intervals of a rate and plans with all the time they need, in a nursery of thirty other batches of other ways. */
    @Test
    void a_rates() {
        Table t = begin("rates and plans with all the time they need, thirty other batches");
        for (double rho : FULL ? new double[] {0, 0.08, 0.2} : new double[] {0.08, 0.2}) {
            for (int own : FULL ? new int[] {1, 3, 8, 20} : new int[] {1, 8}) {
                double delivered = 0;
                double error = 0;
                double[] off = {0, -0.15, 0.15};
                for (int g = 0; g < 3; g++) {
                    double truth = GUIDE_RATE + off[g];
                    Table.Cell c = t.run(seed(1, own * 10 + g, rho), random -> rateLife(truth, rho, own, 10, random));
                    String cell = Table.cell("rho %.2f, %2d own, guide off by %+.2f", rho, own, 0 - off[g]);
                    t.share(cell, "covers", c.mean()[0], c.error()[0], 85, 99);
                    t.share(cell, "delivers", c.mean()[1], c.error()[1], 82, 100);
                    delivered += c.mean()[1] / 3;
                    error += c.error()[1] * c.error()[1] / 9;
                }
                t.share(
                        Table.cell("rho %.2f, %2d own, over the guides", rho, own),
                        "delivers",
                        delivered,
                        Math.sqrt(error),
                        86,
                        96);
            }
        }
        for (int own : FULL ? new int[] {1, 3, 8} : new int[] {3}) {
            for (double off : FULL ? new double[] {0, -0.15, 0.15} : new double[] {-0.15}) {
                Table.Cell c = t.run(seed(2, own, off), random -> rateLife(GUIDE_RATE + off, 0.08, own, 2, random));
                String cell = Table.cell("young nursery, %2d own, guide off by %+.2f", own, 0 - off);
                t.share(cell, "covers", c.mean()[0], c.error()[0], 78, 100);
                t.share(cell, "delivers", c.mean()[1], c.error()[1], 75, 100);
            }
        }
    }

    /** The guide's certainty: truths drawn from it, and a well-known figure that is 0.15 off all the same. */
    @Test
    void a_ratesByTheGuidesCertainty() {
        Table t = begin("rates and plans by how well the guide's figure is known, ten other ways");
        int[] owns = FULL ? new int[] {0, 1, 3, 8} : new int[] {0, 3};
        for (Certainty known : Certainty.values()) {
            for (double guide : FULL ? new double[] {0.7, 0.9} : new double[] {0.9}) {
                for (int own : owns) {
                    Table.Cell c = t.run(seed(14, own * 10 + known.ordinal(), guide), random -> {
                        double truth = random.nextBeta(guide * known.pieces(), (1 - guide) * known.pieces());
                        // A way that never strikes or never fails has no batches worth simulating.
                        return knownLife(guide, known, Math.max(0.02, Math.min(0.999, truth)), own, random);
                    });
                    String cell = Table.cell("guide %.1f, %s, drawn from it, %d own", guide, known, own);
                    t.share(cell, "covers", c.mean()[0], c.error()[0], 85, 99);
                    t.share(cell, "delivers", c.mean()[1], c.error()[1], 82, 100);
                }
            }
        }
        for (double off : new double[] {-0.15, 0.15}) {
            for (int own : new int[] {1, 2, 4}) {
                Table.Cell c = t.run(
                        seed(15, own, off),
                        random -> knownLife(GUIDE_RATE, Certainty.WELL, GUIDE_RATE + off, own, random));
                String cell = Table.cell("well known and off by %+.2f, %d own", 0 - off, own);
                t.share(cell, "next covered", c.mean()[2], c.error()[2], 78, 100);
                t.share(cell, "delivers", c.mean()[1], c.error()[1], own == 1 ? 70 : 80, 100);
            }
        }
    }

    /** Whether the interval of the way covers, whether a plan delivers, and whether the interval of the next batch covers. */
    private static double[] knownLife(
            double guide, Certainty known, double truth, int own, RandomDataGenerator random) {
        double rho = 0.08;
        Life.TrueBatch way = new Life.TrueBatch(GUIDE, truth, rho, 0, 0.2, 1, Life.Shows.AS_READY);
        List<WayBatch> batches = otherWays(way, 10, random);
        for (int i = 0; i < own; i++) {
            batches.add(counted(WAY, way, random));
        }
        GuideFigures.Worth worth =
                new GuideFigures.Worth(known.pieces(), known.daysVariance(), known.pieces(), known.pieces());
        GuideFigures says = new GuideFigures(guide, Optional.of(new Window(8, 20)), GUIDE, worth);
        StrikeRate rate =
                NurseryRecord.of(batches, w -> w.equals(WAY) ? says : FIGURES).strike(WAY);
        int take = TakeCount.least(ReadyChance.withUnlimitedTime(rate.nextBatch()), OutputRatio.one(), 24, 0.9)
                .orElseThrow()
                .pieces();
        double next = Life.rate(way, random);
        boolean covered = rate.nextBatch().quantile(0.05) <= next
                && next <= rate.nextBatch().quantile(0.95);
        return new double[] {covers(rate, truth), Life.of(way, take, random).ever() >= 24 ? 1 : 0, covered ? 1 : 0};
    }

    private static List<WayBatch> otherWays(Life.TrueBatch way, int otherWays, RandomDataGenerator random) {
        List<WayBatch> batches = new ArrayList<>();
        for (int w = 0; w < otherWays; w++) {
            Way other = new Way("Other " + w, "group " + w, "method " + w, "sand", "");
            Life.TrueBatch its = way.withRate(random.nextBeta(14, 6));
            for (int i = 0; i < 3; i++) {
                batches.add(counted(other, its, random));
            }
        }
        return batches;
    }

    private static double[] rateLife(double truth, double rho, int own, int otherWays, RandomDataGenerator random) {
        List<WayBatch> batches = new ArrayList<>();
        Life.TrueBatch way = new Life.TrueBatch(GUIDE, truth, rho, 0, 0.2, 1, Life.Shows.AS_READY);
        for (int i = 0; i < own; i++) {
            batches.add(counted(WAY, way, random));
        }
        batches.addAll(otherWays(way, otherWays, random));
        StrikeRate rate = NurseryRecord.of(batches, w -> FIGURES).strike(WAY);
        int take = TakeCount.least(ReadyChance.withUnlimitedTime(rate.nextBatch()), OutputRatio.one(), 24, 0.9)
                .orElseThrow()
                .pieces();
        return new double[] {covers(rate, truth), Life.of(way, take, random).ever() >= 24 ? 1 : 0};
    }

    private static WayBatch counted(Way way, Life.TrueBatch truth, RandomDataGenerator random) {
        int kept = Life.of(truth, 24, random).ever();
        return WayBatch.of(
                way,
                Tallies.none(),
                Tallies.of(Map.of(Interval.reached(14, 21), (long) kept, Interval.lost(14, 21), 24L - kept)));
    }

    private static double covers(StrikeRate rate, double truth) {
        return rate.quantile(0.05) <= truth && truth <= rate.quantile(0.95) ? 1 : 0;
    }

    // --- The spread between batches
    // ------------------------------------------------------------------------------------

    @Test
    void b_spreadBetweenBatches() {
        Table t = begin("spread between batches");
        double all = Overdispersion.estimate(List.of(
                        new Overdispersion.WayCounts(0.7, Collections.nCopies(20, new int[] {24, 24}))))
                .rho();
        t.near("twenty batches of one way in which all took", "rho", all, 0, 0.1, 0.1);
        Table.Cell c = t.run(seed(3, 0, 0), random -> {
            List<Overdispersion.WayCounts> ways = new ArrayList<>();
            for (int w = 0; w < 30; w++) {
                double mean = random.nextBeta(12 * 0.7, 12 * 0.3);
                Life.TrueBatch truth = new Life.TrueBatch(GUIDE, mean, 0.1, 0, 0, 1, Life.Shows.AS_READY);
                ways.add(new Overdispersion.WayCounts(0.7, List.of(new int[] {
                    Life.of(truth, 24, random).ever(), 24
                })));
            }
            return new double[] {Overdispersion.estimate(ways).rho()};
        });
        t.near("thirty ways of one batch each, true 0.1", "rho", c.mean()[0], c.error()[0], 0.09, 0.04);
    }

    // --- Running batches
    // -----------------------------------------------------------------------------------------------

    @Test
    void c_runningBatches() {
        Table t = begin("rates from finished and running batches");
        // With none finished the guide's own doubt decides: such truths are drawn from it, in the next table.
        int[][] mixes = FULL ? new int[][] {{4, 0}, {2, 2}, {8, 2}} : new int[][] {{4, 0}, {2, 2}};
        for (double shown : new double[] {0.5, 0, 1}) {
            for (int[] mix : shown == 0.5 || FULL ? mixes : new int[][] {{2, 2}}) {
                for (double rate : new double[] {0.5, 0.7, 0.9}) {
                    for (int day : FULL ? new int[] {17, 24} : new int[] {rate == 0.7 ? 17 : 24}) {
                        Life.TrueBatch truth = USUAL.withRate(rate).shown(shown, Life.Shows.AS_READY);
                        Table.Cell c = t.run(
                                seed(4, mix[0] * 10 + mix[1], rate + day + shown),
                                random -> runningLife(truth, mix[0], mix[1], day, 1, false, random));
                        String cell = Table.cell(
                                "rate %.1f, %d finished and %d running on day %d, shown %.1f",
                                rate, mix[0], mix[1], day, shown);
                        if (shown == 0.5) {
                            t.near(cell, "mean", c.mean()[0], c.error()[0], rate, 0.03);
                        }
                        t.share(
                                cell,
                                "covers",
                                c.mean()[1],
                                c.error()[1],
                                shown == 0.5 ? 86 : 80,
                                shown == 0.5 ? 97 : 100);
                    }
                }
            }
        }
        for (double rate : new double[] {0.5, 0.9}) {
            Table.Cell partial =
                    t.run(seed(5, 1, rate), random -> runningLife(USUAL.withRate(rate), 2, 2, 24, 0.6, false, random));
            t.share(
                    Table.cell("rate %.1f, looks at six in ten pieces", rate),
                    "covers",
                    partial.mean()[1],
                    partial.error()[1],
                    80,
                    100);
            Table.Cell above =
                    t.run(seed(6, 1, rate), random -> runningLife(USUAL.withRate(rate), 2, 2, 24, 1, true, random));
            t.share(
                    Table.cell("rate %.1f, the last look from above", rate),
                    "covers",
                    above.mean()[1],
                    above.error()[1],
                    80,
                    100);
        }
    }

    /** Mean of the rate and whether its interval covers, the guide being right of this way on average. */
    private static double[] runningLife(
            Life.TrueBatch truth,
            int finished,
            int running,
            int day,
            double seen,
            boolean above,
            RandomDataGenerator random) {
        return runningLife(truth, truth.rate(), finished, running, day, seen, above, random);
    }

    private static double[] runningLife(
            Life.TrueBatch truth,
            double guide,
            int finished,
            int running,
            int day,
            double seen,
            boolean above,
            RandomDataGenerator random) {
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < finished; i++) {
            batches.add(
                    WayBatch.of(WAY, Tallies.none(), Life.of(truth, 40, random).finished(OVER)));
        }
        for (int i = 0; i < running; i++) {
            Life life = Life.of(truth, 40, random);
            batches.add(WayBatch.of(WAY, Tallies.none(), life.looked(life.days(day), seen, above)));
        }
        GuideFigures right = new GuideFigures(guide, Optional.empty(), GUIDE);
        StrikeRate rate = NurseryRecord.of(batches, w -> right).strike(WAY);
        return new double[] {rate.mean(), covers(rate, truth.rate())};
    }

    /** Truths drawn as the guide's doubt has them: then an interval that says 90% has to hold 90%, few batches or many. */
    @Test
    void c_runningBatchesOfWaysNotKnown() {
        Table t = begin("the same, the way's rate and time drawn from what is not known of them");
        int[][] mixes =
                FULL ? new int[][] {{4, 0}, {2, 2}, {0, 1}, {0, 4}, {0, 8}} : new int[][] {{2, 2}, {0, 1}, {0, 4}};
        for (int[] mix : mixes) {
            for (double rate : FULL ? new double[] {0.5, 0.7, 0.9} : new double[] {0.5, 0.7}) {
                for (int day : FULL ? new int[] {17, 24} : new int[] {24}) {
                    Table.Cell c = t.run(seed(41, mix[0] * 10 + mix[1], rate + day), random -> {
                        double drawn = random.nextBeta(4 * rate, 4 * (1 - rate));
                        double slower = random.nextNormal(0, 0.25);
                        double shown = random.nextBeta(0.5, 1.5);
                        Life.TrueBatch truth =
                                new Life.TrueBatch(GUIDE, drawn, 0.08, slower, 0.2, shown, Life.Shows.AS_READY);
                        double[] said = runningLife(truth, rate, mix[0], mix[1], day, 1, false, random);
                        return new double[] {said[0] - drawn, said[1]};
                    });
                    String cell =
                            Table.cell("guide %.1f, %d finished and %d running on day %d", rate, mix[0], mix[1], day);
                    t.near(cell, "off by", c.mean()[0], c.error()[0], 0, 0.03);
                    t.share(cell, "covers", c.mean()[1], c.error()[1], 86, 97);
                }
            }
        }
    }

    // --- Promises
    // ------------------------------------------------------------------------------------------------------

    @Test
    void d_promisesOnRunningBatches() {
        Table t = begin("promises on running batches, 21 days on, said 90% or more");
        double said = 0;
        double kept = 0;
        double errors = 0;
        int cells = 0;
        for (int finished : new int[] {0, 8}) {
            for (double shown : new double[] {0, 0.3, 0.5, 1}) {
                for (Life.Shows shows :
                        FULL && shown > 0 ? Life.Shows.values() : new Life.Shows[] {Life.Shows.AS_READY}) {
                    for (int day : FULL ? new int[] {14, 21, 28, 35} : new int[] {21, 35}) {
                        Life.TrueBatch truth = USUAL.shown(shown, shows);
                        Table.Cell c = t.run(
                                seed(7, finished * 100 + day, shown * 10 + shows.ordinal()),
                                random -> promiseLife(truth, finished, day, random));
                        // Lives in which nothing could be promised so surely say nothing.
                        double asked = c.mean()[0];
                        double came = c.mean()[2] / asked;
                        double error = Math.sqrt(came * (1 - came) / (asked * LIVES));
                        t.share(
                                Table.cell(
                                        "%d finished, shown %.1f %s, look on day %d (said %.1f)",
                                        finished,
                                        shown,
                                        shows.name().toLowerCase(Locale.ROOT),
                                        day,
                                        100 * c.mean()[1] / asked),
                                "kept",
                                came,
                                error,
                                80,
                                100);
                        said += c.mean()[1] / asked;
                        kept += came;
                        errors += error * error;
                        cells++;
                    }
                }
            }
        }
        t.near("over all, said", "kept", kept / cells, Math.sqrt(errors) / cells, said / cells, 0.03);
    }

    /** Whether a promise could be made at 90%, how sure it was said to be, and whether it was kept. */
    private static double[] promiseLife(Life.TrueBatch truth, int finished, int day, RandomDataGenerator random) {
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < finished; i++) {
            batches.add(
                    WayBatch.of(WAY, Tallies.none(), Life.of(truth, 40, random).finished(OVER)));
        }
        NurseryRecord record = NurseryRecord.of(batches, w -> FIGURES);
        Life life = Life.of(truth, 40, random);
        Tallies looked = life.looked(life.days(day));
        Supply more = Supply.ofChances(RunningBatch.of(record.prior(WAY, SeasonFactors.IN_SEASON), looked)
                .more(day + 21));
        int sure = more.surely(0.9);
        if (sure == 0) {
            return new double[] {0, 0, 0};
        }
        int came = life.readyBy(day + 21) - life.readyBy(day);
        return new double[] {1, more.atLeast(sure), came >= sure ? 1 : 0};
    }

    // --- What batches of one way share
    // -----------------------------------------------------------------------------------

    @Test
    void e_batchesThatShareADoubt() {
        Table t = begin("batches of one way together, said 90%");
        for (int number : FULL ? new int[] {2, 4} : new int[] {2}) {
            for (int finished : FULL ? new int[] {0, 2, 8} : new int[] {0, 8}) {
                Table.Cell c =
                        t.run(seed(8, number * 10 + finished, 0), random -> plannedLife(number, finished, random));
                t.share(
                        Table.cell("%d planned batches, %d finished", number, finished),
                        "kept",
                        c.mean()[0],
                        c.error()[0],
                        86,
                        100);
            }
        }
        for (int finished : FULL ? new int[] {0, 2, 8} : new int[] {0, 8}) {
            Table.Cell c = t.run(seed(9, finished, 0), random -> threeRunning(finished, random));
            t.share(
                    Table.cell("three running batches, %d finished", finished),
                    "kept",
                    c.mean()[0],
                    c.error()[0],
                    82,
                    100);
        }
    }

    private static NurseryRecord drawn(double rate, double slower, int finished, RandomDataGenerator random) {
        Life.TrueBatch truth = new Life.TrueBatch(GUIDE, rate, 0.08, slower, 0.2, 0.5, Life.Shows.AS_READY);
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < finished; i++) {
            batches.add(
                    WayBatch.of(WAY, Tallies.none(), Life.of(truth, 40, random).finished(OVER)));
        }
        return NurseryRecord.of(batches, w -> FIGURES);
    }

    private static double[] plannedLife(int number, int finished, RandomDataGenerator random) {
        double rate = random.nextBeta(2.8, 1.2);
        double slower = random.nextNormal(0, 0.25);
        NurseryRecord record = drawn(rate, slower, finished, random);
        PlannedPieces pieces = planned(record, 35);
        int low = 24 / number;
        int each = 260 / number;
        while (each - low > Math.max(1, low / 20)) {
            int middle = (low + each) / 2;
            boolean enough = Prospect.together(Collections.nCopies(number, pieces.prospect(middle)))
                            .atLeast(24)
                    >= 0.9;
            low = enough ? low : middle;
            each = enough ? middle : each;
        }
        Life.TrueBatch truth = new Life.TrueBatch(GUIDE, rate, 0.08, slower, 0.2, 0.5, Life.Shows.AS_READY);
        int came = 0;
        for (int i = 0; i < number; i++) {
            came += Life.of(truth, each, random).readyBy(35);
        }
        return new double[] {came >= 24 ? 1 : 0};
    }

    private static PlannedPieces planned(NurseryRecord record, double days) {
        return TrustPlans.pieces(WAY, record, days);
    }

    private static double[] threeRunning(int finished, RandomDataGenerator random) {
        double rate = random.nextBeta(2.8, 1.2);
        double slower = random.nextNormal(0, 0.25);
        NurseryRecord record = drawn(rate, slower, finished, random);
        Life.TrueBatch truth = new Life.TrueBatch(GUIDE, rate, 0.08, slower, 0.2, 0.5, Life.Shows.AS_READY);
        SharedDoubt doubt = new SharedDoubt(
                record.finishedStrike(WAY, SeasonFactors.IN_SEASON),
                record.prior(WAY, SeasonFactors.IN_SEASON).time());
        List<Prospect> all = new ArrayList<>();
        int came = 0;
        for (int i = 0; i < 3; i++) {
            Life life = Life.of(truth, 30, random);
            Tallies looked = life.looked(life.days(24));
            all.add(new RunningPieces(
                            WAY,
                            doubt,
                            record.prior(WAY, SeasonFactors.IN_SEASON).shown(),
                            looked)
                    .by(45));
            came += life.readyBy(45) - life.readyBy(24);
        }
        int sure = Prospect.together(all).surely(0.9);
        return new double[] {came >= sure ? 1 : 0};
    }

    // --- Times
    // ---------------------------------------------------------------------------------------------------------

    @Test
    void f_times() {
        Table t = begin("24 in 28 days asked 90%, where the nursery is faster or slower than the guide");
        for (double tau : FULL ? new double[] {0.2, 0.35} : new double[] {0.2}) {
            int[] least = tau == 0.2 ? new int[] {80, 85, 85} : new int[] {65, 72, 84};
            int[] own = {0, 2, 8};
            for (int o = 0; o < own.length; o++) {
                for (double factor : new double[] {0.77, 1, 1.3}) {
                    int batches = own[o];
                    Table.Cell c =
                            t.run(seed(10, batches, tau + factor), random -> timeLife(tau, factor, batches, random));
                    t.share(
                            Table.cell("tau %.2f, %.2f times the guide's days, %d own batches", tau, factor, batches),
                            "delivers",
                            c.mean()[0],
                            c.error()[0],
                            least[o],
                            100);
                }
            }
        }
    }

    private static double[] timeLife(double tau, double factor, int own, RandomDataGenerator random) {
        Life.TrueBatch truth =
                new Life.TrueBatch(GUIDE, GUIDE_RATE, 0.08, Math.log(factor), tau, 0.5, Life.Shows.AS_READY);
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < own; i++) {
            batches.add(
                    WayBatch.of(WAY, Tallies.none(), Life.of(truth, 40, random).finished(OVER)));
        }
        NurseryRecord record = NurseryRecord.of(batches, w -> FIGURES);
        ReadyChance ready = ReadyChance.after(record.strike(WAY).nextBatch(), record.ready(WAY), 28);
        int take = TakeCount.least(ready, OutputRatio.one(), 24, 0.9)
                .map(TakeCount::pieces)
                .orElse(TakeCount.most(24));
        return new double[] {Life.of(truth, take, random).readyBy(28) >= 24 ? 1 : 0};
    }

    // --- Seasons
    // -------------------------------------------------------------------------------------------------------

    @Test
    void g_seasons() {
        Table t = begin("rates out of season, protocol factor 0.5");
        SeasonFactors winter = new SeasonFactors(1.5, 0.5);
        for (double factor : new double[] {0.35, 0.5, 0.7}) {
            for (int[] mix : FULL ? new int[][] {{4, 2}, {2, 6}, {8, 4}} : new int[][] {{4, 2}, {2, 6}}) {
                for (boolean running : new boolean[] {false, true}) {
                    if (running && !FULL && factor != 0.5) {
                        continue;
                    }
                    Table.Cell c = t.run(
                            seed(11, mix[0] * 10 + mix[1] + (running ? 500 : 0), factor),
                            random -> seasonLife(factor, mix[0], mix[1], running, winter, random));
                    t.share(
                            Table.cell(
                                    "true factor %.2f, %d in season, %d out of it%s",
                                    factor, mix[0], mix[1], running ? ", two of them running" : ""),
                            "covers",
                            c.mean()[0],
                            c.error()[0],
                            85,
                            100);
                }
            }
        }
    }

    private static double[] seasonLife(
            double factor, int summer, int out, boolean running, SeasonFactors winter, RandomDataGenerator random) {
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < summer; i++) {
            batches.add(
                    WayBatch.of(WAY, Tallies.none(), Life.of(USUAL, 40, random).finished(OVER)));
        }
        Life.TrueBatch cold = USUAL.withRate(GUIDE_RATE * factor).slowerBy(Math.log(winter.slower()));
        for (int i = 0; i < out; i++) {
            Life life = Life.of(cold, 40, random);
            Tallies told = running && i < 2 ? life.looked(life.days(35)) : life.finished(110);
            batches.add(WayBatch.of(WAY, Tallies.none(), told).in(winter));
        }
        StrikeRate rate = NurseryRecord.of(batches, w -> FIGURES).strike(WAY, winter);
        return new double[] {covers(rate, GUIDE_RATE * factor)};
    }

    // --- Alarms
    // --------------------------------------------------------------------------------------------------------

    @Test
    void h_alarms() {
        Table t = begin("alarms over a whole life, 40 pieces of a way that is known");
        double[] slowLeast = {80, 48, 14};
        double[] taus = {0.03, 0.1, 0.2};
        for (int i = 0; i < taus.length; i++) {
            double tau = taus[i];
            if (!FULL && tau != 0.1) {
                continue;
            }
            Life.TrueBatch usual = new Life.TrueBatch(GUIDE, GUIDE_RATE, 0.08, 0, tau, 0.5, Life.Shows.AS_READY);
            Table.Cell none = t.run(seed(12, i, 0), random -> alarmLife(usual, usual, random));
            t.share(Table.cell("tau %.2f, as usual", tau), "alarms", none.mean()[0], none.error()[0], 0, 5);
            Table.Cell half = t.run(seed(13, i, 0), random -> alarmLife(usual, usual.withRate(GUIDE_RATE / 2), random));
            t.share(Table.cell("tau %.2f, rate halved", tau), "alarms", half.mean()[0], half.error()[0], 50, 100);
            Table.Cell slow = t.run(seed(14, i, 0), random -> alarmLife(usual, usual.slowerBy(Math.log(1.3)), random));
            t.share(
                    Table.cell("tau %.2f, 30%% slower", tau),
                    "alarms",
                    slow.mean()[0],
                    slow.error()[0],
                    slowLeast[i],
                    100);
            System.out.printf(
                    Locale.ROOT,
                    "      said to be slow: as usual %.1f%%, rate halved %.1f%%, slower %.1f%%%n",
                    100 * none.mean()[1],
                    100 * half.mean()[1],
                    100 * slow.mean()[1]);
        }
    }

    /** Whether an alarm is given at any look, and whether the first says slow. */
    private static double[] alarmLife(Life.TrueBatch known, Life.TrueBatch truth, RandomDataGenerator random) {
        StrikeRate rate =
                new StrikeRate(1e5 * known.rate(), 1e5 * (1 - known.rate()), known.rho(), known.rate(), 0, List.of());
        RootingTime ready = new RootingTime(GUIDE.mu(), 0, 0, known.tau(), known.within(), 20);
        RootingTime sign =
                new RootingTime(GUIDE.mu() + Math.log(0.57), 0, 0, known.tau(), Math.hypot(known.within(), 0.13), 20);
        ShownTable shown = ShownTable.ofGuide(ready, known.rho());
        BatchPrior ofReady = new BatchPrior(rate.nextBatch(), ready, shown);
        BatchPrior ofSign = new BatchPrior(rate.nextBatch(), sign, shown);
        Life life = Life.of(truth, 40, random);
        List<Integer> days = life.days(55);
        SortedMap<Integer, Tallies> readyKnown = new TreeMap<>();
        SortedMap<Integer, Tallies> signKnown = new TreeMap<>();
        for (int i = 1; i <= days.size(); i++) {
            List<Integer> until = days.subList(0, i);
            readyKnown.put(days.get(i - 1), life.looked(until));
            signKnown.put(days.get(i - 1), life.firstSigns(until));
            Behind.Verdict v = Behind.of(ofReady, Optional.of(ofSign), readyKnown, signKnown)
                    .map(Behind::verdict)
                    .orElse(Behind.Verdict.AS_USUAL);
            if (v == Behind.Verdict.SLOW || v == Behind.Verdict.FEW) {
                return new double[] {1, v == Behind.Verdict.SLOW ? 1 : 0};
            }
        }
        return new double[] {0, 0};
    }

    // --- Giving up
    // -----------------------------------------------------------------------------------------------------

    @Test
    void i_givingUp() {
        Table t = begin("the chance that a pending piece is ever ready");
        for (int day : new int[] {24, 38, 52}) {
            Table.Cell c = t.run(seed(15, day, 0), random -> everLife(day, random));
            double said = c.mean()[0] / c.mean()[2];
            double came = c.mean()[1] / c.mean()[2];
            t.near(Table.cell("on day %d, said %.3f", day, said), "came", came, c.error()[1] / c.mean()[2], said, 0.03);
        }
    }

    private static double[] everLife(int day, RandomDataGenerator random) {
        double rate = random.nextBeta(2.8, 1.2);
        double slower = random.nextNormal(0, 0.25);
        NurseryRecord record = drawn(rate, slower, 4, random);
        Life life = Life.of(new Life.TrueBatch(GUIDE, rate, 0.08, slower, 0.2, 0.5, Life.Shows.AS_READY), 40, random);
        Tallies looked = life.looked(life.days(day));
        long pending = looked.total(Outcome.PENDING);
        double ever = RunningBatch.of(record.prior(WAY, SeasonFactors.IN_SEASON), looked)
                .everReady();
        return new double[] {pending * ever, life.ever() - life.readyBy(day), pending};
    }

    // --- What was not simulated before
    // -----------------------------------------------------------------------------------

    @Test
    void j_successDatedAsAnInterval() {
        Table t = begin("whether a plan was met by its day, told afterwards from looks");
        for (int due : new int[] {24, 31}) {
            Table.Cell c = t.run(seed(16, due, 0), random -> {
                Life life = Life.of(USUAL, 40, random);
                Tallies told = life.finished(OVER);
                RootingTime time = new RootingTime(GUIDE.mu(), 0, 0, 0, Math.hypot(USUAL.within(), USUAL.tau()), 20);
                ReadyByDay by = ReadyByDay.of(told, time, due);
                return new double[] {by.atLeast(20), life.readyBy(due) >= 20 ? 1 : 0};
            });
            t.near(
                    Table.cell("20 of 40 by day %d, told %.3f", due, c.mean()[0]),
                    "was",
                    c.mean()[1],
                    c.error()[1],
                    c.mean()[0],
                    0.03);
        }
    }

    @Test
    void k_callusAndEstablishment() {
        Table t = begin("callus survival and establishment, learned from the nursery");
        for (double truth : new double[] {0.75, 0.9}) {
            for (int own : new int[] {2, 8}) {
                Table.Cell c = t.run(seed(17, own, truth), random -> shareLife(truth, own, random));
                String cell = Table.cell("true %.2f, guide 0.90, %d own batches", truth, own);
                t.share(cell + ", callus", "covers", c.mean()[0], c.error()[0], 80, 100);
                t.share(cell + ", settling", "covers", c.mean()[1], c.error()[1], 80, 100);
            }
        }
    }

    private static double[] shareLife(double truth, int own, RandomDataGenerator random) {
        Life.TrueBatch way = USUAL.withRate(truth);
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < own; i++) {
            int stuck = Math.max(1, Life.of(way, 40, random).ever());
            Life life = Life.of(USUAL, stuck, random);
            int of = life.ever();
            int settled = of == 0 ? 0 : Life.of(way, of, random).ever();
            batches.add(new WayBatch(
                    WAY,
                    SeasonFactors.IN_SEASON,
                    40,
                    stuck,
                    new WayBatch.Moved(settled, of),
                    Tallies.none(),
                    life.finished(OVER)));
        }
        NurseryRecord record = NurseryRecord.of(batches, w -> FIGURES);
        return new double[] {
            covers(record.callusSurvival(WAY, 0.9), truth), covers(record.establishment(WAY, 0.9), truth)
        };
    }

    private static long seed(int table, int cell, double more) {
        return SEED + 1009L * table + 9176L * cell + Math.round(131_071 * more);
    }
}
