package garden.vivarium.core.trust;

import garden.vivarium.core.compare.Comparison;
import garden.vivarium.core.compare.DoseCurve;
import garden.vivarium.core.compare.Factor;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.LearnedClock;
import garden.vivarium.core.compare.LossEvent;
import garden.vivarium.core.compare.Measure;
import garden.vivarium.core.compare.Outbreaks;
import garden.vivarium.core.compare.Shared;
import garden.vivarium.core.compare.Sharing;
import garden.vivarium.core.compare.Together;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Overdispersion;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Several things at once, curves, clocks, what batches share and outbreaks: what is told where nothing is there, and where something is. Nothing is asserted. */
@EnabledIfSystemProperty(named = "vivarium.trust", matches = "some|full")
class TrustSeveral {

    private static final int LIVES = Integer.getInteger("vivarium.trust.lives", 2000);
    private static final long SEED = Long.getLong("vivarium.trust.seed", 20261127L);
    private static final double RHO = 0.08;
    private static final LocalDate DAY = LocalDate.of(2025, 1, 6);

    private static double rate(double logOdds) {
        return 1 / (1 + Math.exp(-logOdds));
    }

    private static FinishedBatch batch(
            int number,
            String plant,
            double rate,
            Map<Factor, String> facts,
            Map<Measure, Double> measures,
            RandomDataGenerator random) {
        double strength = (1 - RHO) / RHO;
        double p = random.nextBeta(rate * strength, (1 - rate) * strength);
        int kept = 0;
        for (int i = 0; i < 40; i++) {
            kept += random.nextUniform(0, 1) < p ? 1 : 0;
        }
        LocalDate day = DAY.plusDays(3L * number);
        return new FinishedBatch(
                "b" + number,
                plant,
                "tip cutting",
                day,
                day.plusDays(40),
                new BatchCount(kept, 40),
                Tallies.none(),
                facts,
                measures);
    }

    /** Perlite mostly in spring, in each of two plants; only the season bears, by so much. */
    private static List<FinishedBatch> crossed(int each, double season, RandomDataGenerator random) {
        List<FinishedBatch> all = new ArrayList<>();
        for (String plant : List.of("Fuchsia", "Salvia")) {
            double usual = plant.equals("Fuchsia") ? -0.2 : 0.3;
            for (int i = 0; i < 4 * each; i++) {
                boolean perlite = i < 2 * each;
                boolean spring = perlite ? i % 4 != 0 : i % 4 == 0;
                all.add(batch(
                        all.size(),
                        plant,
                        rate(usual + (spring ? season : 0)),
                        Map.of(
                                Factor.MEDIUM,
                                perlite ? "perlite" : "peat",
                                Factor.SEASON,
                                spring ? "spring" : "autumn"),
                        Map.of(),
                        random));
            }
        }
        return all;
    }

    @Test
    void severalAtOnce() {
        Table t = new Table("several things at once", LIVES);
        for (int each : new int[] {4, 8}) {
            for (double season : new double[] {0, 1.2}) {
                Table.Cell c = t.run(SEED + each + Math.round(10 * season), random -> {
                    Together found =
                            Together.of(crossed(each, season, random), List.of(Factor.MEDIUM, Factor.SEASON), RHO);
                    double truth = (rate(-0.2 + season) - rate(-0.2) + rate(0.3 + season) - rate(0.3)) / 2;
                    double medium = 0;
                    double covered = 0;
                    for (Together.Effect e : found.effects()) {
                        boolean isMedium = e.factor() == Factor.MEDIUM;
                        medium += isMedium && e.isTold() ? 1 : 0;
                        double sign = e.value().equals("spring") ? 1 : -1;
                        covered += !isMedium && e.low() <= sign * truth && sign * truth <= e.high() ? 1 : 0;
                    }
                    return new double[] {medium, covered};
                });
                String cell = Table.cell("%d batches, season %.1f in log-odds", 8 * each, season);
                t.share(cell, "the medium told, which does nothing", c.mean()[0], c.error()[0], 0, 5);
                t.share(cell, "the season covered", c.mean()[1], c.error()[1], 86, 97);
            }
        }
        t.close();
    }

    @Test
    void curves() {
        Table t = new Table("a curve over a measure", LIVES);
        for (int batches : new int[] {12, 24, 48}) {
            for (double bends : new double[] {0, 1}) {
                Table.Cell c = t.run(SEED + batches + Math.round(bends), random -> {
                    List<FinishedBatch> all = new ArrayList<>();
                    for (int i = 0; i < batches; i++) {
                        double days = i % 12;
                        all.add(batch(
                                i,
                                i % 3 == 0 ? "Salvia" : "Fuchsia",
                                rate(0.8 - bends * (days - 5.5) * (days - 5.5) / 15),
                                Map.of(),
                                Map.of(Measure.DRIED, days),
                                random));
                    }
                    DoseCurve curve = DoseCurve.of(all, Measure.DRIED, RHO);
                    return new double[] {
                        curve.verdict() == DoseCurve.Verdict.NOTHING || curve.verdict() == DoseCurve.Verdict.TOO_FEW
                                ? 0
                                : 1
                    };
                });
                t.share(
                        Table.cell("%d batches, %s", batches, bends == 0 ? "nothing there" : "a peak"),
                        "told",
                        c.mean()[0],
                        c.error()[0],
                        0,
                        bends == 0 ? 5 : 100);
            }
        }
        t.close();
    }

    @Test
    void clocks() {
        Table t = new Table("the learned clock", LIVES);
        for (int batches : new int[] {12, 24, 48}) {
            for (double aDegree : new double[] {0, 0.06}) {
                Table.Cell c = t.run(SEED + batches + Math.round(100 * aDegree), random -> {
                    List<LearnedClock.Timed> all = new ArrayList<>();
                    for (int i = 0; i < batches; i++) {
                        double warmth = 14 + 2 * (i % 3) + random.nextNormal(0, 3);
                        all.add(new LearnedClock.Timed(
                                "way " + i % 3,
                                (18 + 8 * (i % 3)) * Math.exp(-aDegree * (warmth - 18) + random.nextNormal(0, 0.2)),
                                warmth));
                    }
                    LearnedClock clock = LearnedClock.of(all);
                    return new double[] {
                        clock.low() <= -aDegree && -aDegree <= clock.high() ? 1 : 0, clock.isFitToPlanBy() ? 1 : 0
                    };
                });
                String cell = Table.cell("%d batches, %.2f a degree", batches, aDegree);
                t.share(cell, "covered", c.mean()[0], c.error()[0], 87, 93);
                t.share(cell, "planned by", c.mean()[1], c.error()[1], 0, aDegree == 0 ? 5 : 100);
            }
        }
        t.close();
    }

    @Test
    void whatBatchesShare() {
        Table t = new Table("what batches share", Math.max(100, LIVES / 4));
        for (double less : new double[] {0, 0.3}) {
            Table.Cell c = t.run(SEED + Math.round(10 * less), random -> {
                List<FinishedBatch> all = new ArrayList<>();
                for (int i = 0; i < 40; i++) {
                    double bad = random.nextUniform(0, 1) < 0.5 ? 1 : 0;
                    for (int k = 0; k < 2 && all.size() < 40; k++) {
                        all.add(batch(
                                all.size(),
                                "Fuchsia",
                                0.75 - less * bad,
                                Map.of(Factor.PERSON, "person " + i, Factor.MEDIUM, "perlite"),
                                Map.of(),
                                random));
                    }
                }
                Shared person = Shared.of(all, RHO).stream()
                        .filter(s -> s.by() == Shared.By.PERSON)
                        .findFirst()
                        .orElseThrow();
                return new double[] {person.isTold() ? 1 : 0};
            });
            t.share(
                    less == 0 ? "pairs share nothing" : "pairs share 30 in 100",
                    "told",
                    c.mean()[0],
                    c.error()[0],
                    0,
                    less == 0 ? 1.25 : 100);
        }
        Table.Cell both = t.run(SEED + 5, random -> {
            // Four sticking days a side, three batches each, days scatter by a quarter of the rate; media do not
            // differ.
            List<FinishedBatch> all = new ArrayList<>();
            for (int d = 0; d < 8; d++) {
                double day = Math.max(0.1, Math.min(0.95, 0.65 + random.nextNormal(0, 0.15)));
                for (int k = 0; k < 3; k++) {
                    all.add(batch(
                            all.size(),
                            "Fuchsia",
                            day,
                            Map.of(Factor.MEDIUM, d % 2 == 0 ? "perlite" : "peat", Factor.PERSON, "day " + d),
                            Map.of(),
                            random));
                }
            }
            Comparison.Asked medium = new Comparison.Asked(Factor.MEDIUM, "perlite", "peat");
            // As a nursery knows it: days are in the spread between batches, and about half of that is shared.
            double rho = Overdispersion.estimate(List.of(new Overdispersion.WayCounts(
                            0.65,
                            all.stream()
                                    .map(b -> new int[] {
                                        (int) b.count().kept(), (int) b.count().of()
                                    })
                                    .toList())))
                    .rho();
            Sharing known = new Sharing(Map.of(Shared.By.PERSON, 0.5));
            return new double[] {said(Comparison.of(medium, all, rho)), said(Comparison.of(medium, all, rho, known))};
        });
        t.share("days shared, media alike: better", "not allowed for", both.mean()[0], both.error()[0], 0, 100);
        t.share("days shared, media alike: better", "allowed for", both.mean()[1], both.error()[1], 0, 10);
        t.close();
    }

    private static double said(Comparison c) {
        return c.difference().filter(d -> d.isBetter() || d.isWorse()).isPresent() ? 1 : 0;
    }

    @Test
    void outbreaks() {
        Table t = new Table("losses that came together, in a year", LIVES);
        for (int batches : new int[] {40, 120}) {
            Table.Cell c = t.run(SEED + batches, random -> {
                List<Outbreaks.Seen> looks = new ArrayList<>();
                List<LossEvent> losses = new ArrayList<>();
                for (int b = 0; b < batches; b++) {
                    int stuck = random.nextInt(0, 300);
                    String place = "house " + b % 3;
                    for (int week = 1; week <= 6; week++) {
                        LocalDate on = DAY.plusDays(stuck + 7L * week + random.nextInt(0, 2));
                        looks.add(new Outbreaks.Seen("b" + b, place, on));
                        if (random.nextUniform(0, 1) < 0.08) {
                            losses.add(new LossEvent(
                                    "b" + b,
                                    "Fuchsia",
                                    place,
                                    DAY.plusDays(stuck),
                                    on.minusDays(7),
                                    on,
                                    LossCause.ROT,
                                    random.nextInt(2, 5)));
                        }
                    }
                }
                return new double[] {Outbreaks.of(losses, looks).isEmpty() ? 0 : 1};
            });
            t.share(Table.cell("%d batches, none there", batches), "told", c.mean()[0], c.error()[0], 0, 5);
        }
        t.close();
    }
}
