package garden.vivarium.core;

import garden.vivarium.core.divide.Ask;
import garden.vivarium.core.divide.Divider;
import garden.vivarium.core.divide.Form;
import garden.vivarium.core.divide.Growth;
import garden.vivarium.core.divide.Lying;
import garden.vivarium.core.divide.Tie;
import garden.vivarium.core.divide.Worth;
import garden.vivarium.core.evidence.BatchPrior;
import garden.vivarium.core.evidence.CurveBand;
import garden.vivarium.core.evidence.GuideFigures;
import garden.vivarium.core.evidence.NurseryRecord;
import garden.vivarium.core.evidence.RootingCurve;
import garden.vivarium.core.evidence.RunningBatch;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.plan.Aim;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.plan.Setting;
import garden.vivarium.core.plan.WayPlan;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.watch.Behind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.TreeMap;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Speeds of the core, printed; run by {@code ./vivarium bench}. Nothing is asserted: a machine may be slow. */
class SpeedBench {

    private static final int RUNS = 15;

    @Test
    void curveOfAHundredThousandRecordsOverTwoHundredDays() {
        Random random = new Random(1);
        List<Interval> records = new ArrayList<>();
        for (int i = 0; i < 100_000; i++) {
            double ready = random.nextDouble() < 0.75 ? Math.exp(3.9 + 0.5 * random.nextGaussian()) : 1e9;
            double lost = ready < 1e9 || random.nextDouble() < 0.4 ? 1e9 : 200 * random.nextDouble();
            int after = 0;
            Interval found = null;
            while (found == null) {
                int by = Math.min(200, after + 1 + random.nextInt(14));
                if (Math.min(ready, lost) <= by) {
                    found = ready < lost ? Interval.reached(after, by) : Interval.lost(after, by);
                } else if (by >= 200) {
                    found = Interval.pending(200);
                } else {
                    after = by;
                }
            }
            records.add(found);
        }
        Tallies grouped = Tallies.of(records);
        print(
                "curve, 100,000 records over 200 days (%d groups)"
                        .formatted(grouped.counts().size()),
                () -> RootingCurve.fit(grouped));
    }

    @Test
    void bandRoundTheCurveOfThirteenTrays() {
        Random random = new Random(3);
        List<Tallies> trays = new ArrayList<>();
        for (int tray = 0; tray < 13; tray++) {
            List<Interval> pieces = new ArrayList<>();
            int first = 6 + random.nextInt(5);
            for (int piece = 0; piece < 72; piece++) {
                double ready = random.nextDouble() < 0.85 ? Math.exp(3.2 + 0.3 * random.nextGaussian()) : 1e9;
                int after = 0;
                int by = first;
                while (by < ready && by < 70) {
                    after = by;
                    by += 5 + tray % 4;
                }
                pieces.add(ready <= by ? Interval.reached(after, by) : Interval.lost(after, by));
            }
            trays.add(Tallies.of(pieces));
        }
        print("curve and band of 13 trays of 72", () -> {
            RootingCurve.fit(Tallies.pooled(trays));
            CurveBand.of(trays);
        });
    }

    @Test
    void planOfAllWays() {
        Guide guide = Guide.load();
        LocalDate start = LocalDate.of(2026, 4, 1);
        Aim aim = new Aim(24, 1, start.plusDays(150), 0.9);
        Setting setting = new Setting(Climate.HEATED, Hemisphere.NORTH);
        List<Outlook> soft = guide.suiting("soft").stream()
                .map(p -> Outlook.ofGuide(p, 0.08))
                .toList();
        List<Outlook> all =
                guide.protocols().stream().map(p -> Outlook.ofGuide(p, 0.08)).toList();
        print(
                "plan, the %d ways that suit one group".formatted(soft.size()),
                () -> soft.forEach(o -> WayPlan.of(o, aim, setting, OptionalInt.of(80), start)));
        print(
                "start or take, 24 days of one way",
                () -> WayPlan.of(soft.get(0), aim, setting, OptionalInt.of(80), start)
                        .startOrTake(24));
        print(
                "expected young plants of the %d ways".formatted(soft.size()),
                () -> soft.forEach(o ->
                        WayPlan.of(o, aim, setting, OptionalInt.of(80), start).youngPlants(60)));
        print(
                "plan, all %d ways of the guide".formatted(all.size()),
                () -> all.forEach(o -> WayPlan.of(o, aim, setting, OptionalInt.of(80), start)));
    }

    @Test
    void recordOfTwoThousandBatches() {
        Guide guide = Guide.load();
        Random random = new Random(2);
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < 2000; i++) {
            Protocol p = guide.protocols().get(random.nextInt(guide.protocols().size()));
            Way way = new Way("Plant " + random.nextInt(60), p.groups().get(0), p.method(), p.medium(), "");
            List<Interval> ready = new ArrayList<>();
            for (int piece = 0; piece < 25; piece++) {
                int by = 10 + random.nextInt(60);
                ready.add(random.nextInt(4) == 0 ? Interval.lost(by - 7, by) : Interval.reached(by - 7, by));
            }
            batches.add(WayBatch.of(way, Tallies.of(ready), Tallies.of(ready)));
        }
        Function<Way, GuideFigures> figures = w -> guide.nearest(w.method(), w.medium(), w.group())
                .map(p -> new GuideFigures(
                        p.figures().rate(),
                        p.firstSign().map(Protocol.Test::days),
                        p.ready().days()))
                .orElseThrow();
        Way way = batches.get(0).way();
        NurseryRecord held = NurseryRecord.of(batches, figures);
        print("evidence, 2,000 batches: spread between batches", () -> NurseryRecord.of(batches, figures));
        print(
                "evidence, 2,000 batches: rate of one way",
                () -> held.updated(batches).strike(way));
        print(
                "evidence, 2,000 batches: time to ready of one way",
                () -> held.updated(batches).ready(way));
        print("evidence, 2,000 batches: rates of all ways", () -> {
            NurseryRecord now = held.updated(batches);
            now.ways().keySet().forEach(now::strike);
        });
    }

    @Test
    void timesOfAGroupOfAHundredBatches() {
        Random random = new Random(4);
        Way way = new Way("Plant", "soft", "tip cutting", "water", "");
        GuideFigures guide = new GuideFigures(0.7, Optional.empty(), new Window(14, 35));
        List<WayBatch> batches = new ArrayList<>();
        for (int i = 0; i < 100; i++) {
            Way of = i % 5 == 0 ? way : new Way("Plant " + i % 20, "soft", "tip cutting", "perlite", "");
            batches.add(WayBatch.of(of, Tallies.none(), running(random, i % 4 == 0 ? 24 : 80)));
        }
        print(
                "times of a group of 100 batches, a quarter running, all anew",
                () -> NurseryRecord.of(batches, w -> guide).ready(way));
        NurseryRecord held = NurseryRecord.of(batches, w -> guide);
        held.ready(way);
        List<WayBatch> changed = new ArrayList<>(batches);
        changed.set(4, WayBatch.of(batches.get(4).way(), Tallies.none(), running(random, 31)));
        print(
                "the same after a look at one of them",
                () -> held.updated(changed).ready(way));
        print(
                "rate of the way, after a look at one of them",
                () -> held.updated(changed).strike(way));
        BatchPrior prior = held.prior(way, SeasonFactors.IN_SEASON);
        print(
                "one running batch of 40 by itself",
                () -> RunningBatch.of(prior, batches.get(4).ready()));
        Tallies large = Tallies.of(
                Map.of(Interval.reached(14, 21), 700L, Interval.lost(7, 14), 100L, Interval.pending(21), 1200L));
        print("one running batch of 2,000 by itself", () -> RunningBatch.of(prior, large));
        Tallies known = batches.get(4).ready();
        print(
                "whether a batch is behind at a look",
                () -> Behind.of(
                        prior, Optional.empty(), new TreeMap<>(Map.of(24, known)), Collections.emptySortedMap()));
    }

    @Test
    void divisionOfTwentyGrowths() {
        Random random = new Random(20);
        List<Growth> growths = new ArrayList<>();
        List<Tie> ties = new ArrayList<>();
        for (int i = 1; i <= 20; i++) {
            growths.add(new Growth(i, random.nextDouble() < 0.6, i % 7 == 6, i > 3, false));
            if (i > 1) {
                ties.add(new Tie(random.nextDouble() < 0.7 ? i - 1 : 1 + random.nextInt(i - 1), i));
            }
        }
        Lying plant = new Lying(growths, ties);
        Worth worth = Form.CREEPING.worth();
        for (Ask.Aim aim : Ask.Aim.values()) {
            print("division of 20 growths, every set of cuts, " + aim, () -> Divider.best(plant, worth, Ask.of(aim)));
        }
    }

    private static Tallies running(Random random, int until) {
        List<Interval> pieces = new ArrayList<>();
        for (int piece = 0; piece < 40; piece++) {
            double day = random.nextDouble() < 0.7 ? Math.exp(3.1 + 0.35 * random.nextGaussian()) : 1e9;
            int after = 0;
            int by = 8 + random.nextInt(2);
            while (by < day && by < until) {
                after = by;
                by += 7;
            }
            pieces.add(day <= by && by <= until ? Interval.reached(after, by) : Interval.pending(after));
        }
        Tallies looked = Tallies.of(pieces);
        return until > 60 ? looked.closed() : looked;
    }

    private static void print(String what, Runnable work) {
        double[] ms = new double[RUNS];
        for (int run = 0; run < RUNS; run++) {
            long start = System.nanoTime();
            work.run();
            ms[run] = (System.nanoTime() - start) / 1e6;
        }
        double first = ms[0];
        Arrays.sort(ms);
        System.out.printf(Locale.ROOT, "%-70s median %8.1f ms   first %8.1f ms%n", what, ms[RUNS / 2], first);
    }
}
