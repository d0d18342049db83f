package garden.vivarium.core.trust;

import garden.vivarium.core.compare.Comparison;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.TrialReading;
import garden.vivarium.core.compare.TrialResult;
import garden.vivarium.core.compare.TrialSize;
import garden.vivarium.core.compare.WhatToDo;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Overdispersion;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Whether what is called better is, over nurseries in which nothing differs and some in which something does. Nothing is asserted. */
@EnabledIfSystemProperty(named = "vivarium.trust", matches = "some|full")
class TrustComparisons {

    private static final int LIVES = Integer.getInteger("vivarium.trust.lives", 2000);
    private static final long SEED = Long.getLong("vivarium.trust.seed", 20261127L);
    private static final double RHO = 0.08;
    private static final List<String> PLANTS = List.of("Fuchsia", "Salvia", "Penstemon");
    private static final Comparison.Asked MEDIUM = new Comparison.Asked(Factor.MEDIUM, "perlite", "peat");

    @Test
    void betterWhereNothingDiffers() {
        Table t = new Table("“better” where nothing differs, a side", LIVES);
        for (int batches : new int[] {4, 6, 8}) {
            for (double rate : new double[] {0.5, 0.7, 0.9}) {
                for (int plants : new int[] {1, 3}) {
                    Table.Cell c = t.run(SEED + 31L * batches + Math.round(100 * rate) + 7L * plants, random -> {
                        List<FinishedBatch> all = new ArrayList<>();
                        for (String plant : PLANTS.subList(0, plants)) {
                            add(all, batches, plant, rate, Map.of(Factor.MEDIUM, "perlite"), random);
                            add(all, batches, plant, rate, Map.of(Factor.MEDIUM, "peat"), random);
                        }
                        Comparison.Verdict v = Comparison.of(MEDIUM, all, RHO).verdict();
                        return new double[] {
                            v == Comparison.Verdict.FIRST ? 1 : 0, v == Comparison.Verdict.SECOND ? 1 : 0
                        };
                    });
                    String cell = Table.cell("%d batches an arm, rate %.1f, %d plants", batches, rate, plants);
                    t.share(cell, "first", c.mean()[0], c.error()[0], 0, 5);
                    t.share(cell, "second", c.mean()[1], c.error()[1], 0, 5);
                }
            }
        }
        t.close();
    }

    @Test
    void anySentenceWhereNothingDiffers() {
        Table t = new Table("“what to do differently”: any sentence in a quarter", LIVES);
        for (int each : new int[] {3, 4, 8}) {
            Table.Cell none = t.run(SEED + each, random -> new double[] {sentences(each, 0.7, 0.7, random)});
            t.share(
                    Table.cell("nothing differs, %d batches a cell of 12", each),
                    "said",
                    none.mean()[0],
                    none.error()[0],
                    0,
                    5);
            Table.Cell some = t.run(SEED + 50 + each, random -> new double[] {sentences(each, 0.85, 0.55, random)});
            t.share(
                    Table.cell("a medium gives 85 and not 55, %d batches a cell", each),
                    "said",
                    some.mean()[0],
                    some.error()[0],
                    0,
                    100);
        }
        t.close();
    }

    private static double sentences(int each, double perlite, double peat, RandomDataGenerator random) {
        List<FinishedBatch> all = new ArrayList<>();
        for (String plant : PLANTS) {
            for (String hormone : List.of("no hormone", "hormone 0.3%")) {
                add(all, each, plant, perlite, Map.of(Factor.MEDIUM, "perlite", Factor.HORMONE, hormone), random);
                add(all, each, plant, peat, Map.of(Factor.MEDIUM, "peat", Factor.HORMONE, hormone), random);
            }
        }
        double rho = Overdispersion.estimate(PLANTS.stream()
                        .flatMap(p -> List.of("perlite", "peat").stream()
                                .map(m -> new Overdispersion.WayCounts(
                                        0.7,
                                        all.stream()
                                                .filter(b -> b.plant().equals(p)
                                                        && b.facts()
                                                                .get(Factor.MEDIUM)
                                                                .equals(m))
                                                .map(b -> new int[] {
                                                    (int) b.count().kept(),
                                                    (int) b.count().of()
                                                })
                                                .toList())))
                        .toList())
                .rho();
        return WhatToDo.of(all, rho, LocalDate.of(2031, 2, 1)).sentences().isEmpty() ? 0 : 1;
    }

    @Test
    void trialsOfTheSizeAskedFor() {
        Table t = new Table("trials within trays, of the size asked for", LIVES);
        for (double[] rates : new double[][] {{0.55, 0.75}, {0.7, 0.9}, {0.4, 0.7}}) {
            int size = TrialSize.within(rates[0], rates[1]).pieces();
            Table.Cell told = t.run(SEED + size, random -> new double[] {read(rates[0], rates[1], size, random)});
            t.share(
                    Table.cell("%.2f against %.2f, %d pieces an arm", rates[0], rates[1], size),
                    "told",
                    told.mean()[0],
                    told.error()[0],
                    72,
                    100);
            Table.Cell none = t.run(SEED + 7L * size, random -> new double[] {read(rates[1], rates[1], size, random)});
            t.share(
                    Table.cell("both %.2f, %d pieces an arm", rates[1], size),
                    "told",
                    none.mean()[0],
                    none.error()[0],
                    0,
                    5);
        }
        t.close();
    }

    @Test
    void trialsOfThreeAndFourArms() {
        Table t = new Table("trials of three and four arms, of the size asked for", LIVES);
        for (int arms = 3; arms <= 4; arms++) {
            double[] alike = new double[arms];
            Arrays.fill(alike, 0.7);
            double[] oneBetter = alike.clone();
            oneBetter[1] = 0.9;
            int size = TrialSize.within(0.7, 0.9, arms).pieces();
            Table.Cell none = t.run(SEED + 3L * size, random -> {
                TrialReading.Verdict v = several(alike, size, random).verdict();
                return new double[] {v == TrialReading.Verdict.BEST || v == TrialReading.Verdict.SOME ? 1 : 0};
            });
            t.share(
                    Table.cell("%d arms, all 0.70, %d pieces an arm", arms, size),
                    "any told",
                    none.mean()[0],
                    none.error()[0],
                    0,
                    5);
            Table.Cell some = t.run(SEED + 5L * size, random -> {
                TrialReading r = several(oneBetter, size, random);
                boolean wrong = r.pairs().stream()
                        .anyMatch(p -> p.isTold() && ((p.first() != 1 && p.second() != 1) || p.worse() == 1));
                boolean told = r.pairs().stream().anyMatch(p -> p.first() == 0 && p.second() == 1 && p.isTold());
                return new double[] {told ? 1 : 0, r.best().orElse(-1) == 1 ? 1 : 0, wrong ? 1 : 0};
            });
            String cell = Table.cell("%d arms, one 0.90, others 0.70, %d pieces an arm", arms, size);
            t.share(cell, "told from the first", some.mean()[0], some.error()[0], 72, 100);
            t.share(cell, "named best", some.mean()[1], some.error()[1], 0, 100);
            t.share(cell, "told wrong", some.mean()[2], some.error()[2], 0, 5);
        }
        t.close();
    }

    private static TrialReading several(double[] rates, int perArm, RandomDataGenerator random) {
        List<TrialReading.Tray> trays = new ArrayList<>();
        int left = perArm;
        for (int tray = 1; left > 0; tray++) {
            int here = Math.min(24, left);
            left -= here;
            double strength = (1 - RHO) / RHO;
            double shift = random.nextBeta(0.7 * strength, 0.3 * strength) - 0.7;
            trays.add(new TrialReading.Tray(
                    String.valueOf(tray),
                    Arrays.stream(rates)
                            .mapToObj(r -> struck(here, r + shift, random))
                            .toList(),
                    Collections.nCopies(rates.length, here)));
        }
        return TrialReading.of(
                IntStream.range(0, rates.length).mapToObj(i -> "arm " + i).toList(), trays);
    }

    /** Trays differ as batches do; arms stand in each by lot. */
    private static double read(double first, double second, int perArm, RandomDataGenerator random) {
        List<TrialResult.Tray> trays = new ArrayList<>();
        int left = perArm;
        for (int tray = 1; left > 0; tray++) {
            int here = Math.min(36, left);
            left -= here;
            double strength = (1 - RHO) / RHO;
            double shift = random.nextBeta(0.7 * strength, 0.3 * strength) - 0.7;
            int a = struck(here, first + shift, random);
            int b = struck(here, second + shift, random);
            trays.add(new TrialResult.Tray(String.valueOf(tray), a, here, b, here));
        }
        TrialResult.Verdict v = TrialResult.of("a", "b", trays).verdict();
        return v == TrialResult.Verdict.FIRST || v == TrialResult.Verdict.SECOND ? 1 : 0;
    }

    private static int struck(int pieces, double rate, RandomDataGenerator random) {
        int kept = 0;
        for (int i = 0; i < pieces; i++) {
            kept += random.nextUniform(0, 1) < rate ? 1 : 0;
        }
        return kept;
    }

    private static void add(
            List<FinishedBatch> all,
            int batches,
            String plant,
            double rate,
            Map<Factor, String> facts,
            RandomDataGenerator random) {
        double strength = (1 - RHO) / RHO;
        for (int i = 0; i < batches; i++) {
            int kept = struck(30, random.nextBeta(rate * strength, (1 - rate) * strength), random);
            LocalDate day = LocalDate.of(2027, 1, 4).plusDays(3L * all.size());
            all.add(new FinishedBatch(
                    "b" + all.size(),
                    plant,
                    "tip cutting",
                    day,
                    day.plusDays(40),
                    new BatchCount(kept, 30),
                    Tallies.none(),
                    new EnumMap<>(facts)));
        }
    }
}
