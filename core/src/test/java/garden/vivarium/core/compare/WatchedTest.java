package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.compare.Outbreaks.Outbreak;
import garden.vivarium.core.compare.Outbreaks.Seen;
import garden.vivarium.core.looks.LossCause;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Losses, outbreaks, what batches share, batches that went the other way, and what to try next, where the truth was planted. */
class WatchedTest {

    private static final double RHO = 0.08;
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);

    private static LossEvent loss(String batch, String place, int after, int on, LossCause cause, int pieces) {
        return new LossEvent(batch, "Fuchsia", place, DAY, DAY.plusDays(after), DAY.plusDays(on), cause, pieces);
    }

    /** A year of batches looked at once a week in three places; one in twelve loses to rot in a week, wherever it stands. */
    private static List<LossEvent> quiet(long seed, List<Seen> looks) {
        Random random = new Random(seed);
        List<LossEvent> losses = new ArrayList<>();
        for (int b = 0; b < 90; b++) {
            int stuck = random.nextInt(300);
            String place = "house " + b % 3;
            for (int week = 1; week <= 6; week++) {
                int on = stuck + 7 * week + random.nextInt(3);
                looks.add(new Seen("b" + b, place, DAY.plusDays(on)));
                if (random.nextInt(12) == 0) {
                    losses.add(new LossEvent(
                            "b" + b,
                            "Fuchsia",
                            place,
                            DAY.plusDays(stuck),
                            DAY.plusDays(on - 7),
                            DAY.plusDays(on),
                            LossCause.ROT,
                            2 + random.nextInt(4)));
                }
            }
        }
        return losses;
    }

    @Test
    void anOutbreakIsPointedOut() {
        List<Seen> looks = new ArrayList<>();
        List<LossEvent> losses = quiet(5, looks);
        for (int b = 0; b < 8; b++) {
            looks.add(new Seen("out" + b, "house 1", DAY.plusDays(150 + b % 4)));
            if (b < 6) {
                losses.add(loss("out" + b, "house 1", 143, 150 + b % 4, LossCause.ROT, 5));
            }
        }
        List<Outbreak> told = Outbreaks.of(losses, looks);
        assertThat(told).hasSize(1);
        assertThat(told.get(0).place()).isEqualTo("house 1");
        assertThat(told.get(0).cause()).isEqualTo(LossCause.ROT);
        assertThat(told.get(0).batches()).contains("out0", "out5");
        assertThat(told.get(0).chance()).isLessThan(0.05);
        assertThat(told.get(0).usual()).isBetween(0.02, 0.25);
        assertThat(told.get(0).says().number("pieces")).isGreaterThanOrEqualTo(30);
    }

    @Test
    void inAQuietYearAnOutbreakIsToldOnceInTwentyOrLess() {
        int told = 0;
        int years = 200;
        for (int year = 0; year < years; year++) {
            List<Seen> looks = new ArrayList<>();
            List<LossEvent> losses = quiet(700 + year, looks);
            told += Outbreaks.of(losses, looks).isEmpty() ? 0 : 1;
        }
        assertThat(told / (double) years).isLessThanOrEqualTo(0.08);
    }

    @Test
    void twoBatchesAreNoOutbreakAndNothingIsNone() {
        List<LossEvent> two =
                List.of(loss("a", "house", 3, 10, LossCause.ROT, 20), loss("b", "house", 3, 10, LossCause.ROT, 20));
        assertThat(Outbreaks.of(two, List.of(new Seen("a", "house", DAY.plusDays(10)))))
                .isEmpty();
        assertThat(Outbreaks.of(List.of(), List.of())).isEmpty();
    }

    @Test
    void lossesAreSummedByCauseWeekAndPlace() {
        Losses sums = Losses.of(
                List.of(
                        loss("a", "mist", 3, 10, LossCause.ROT, 6),
                        loss("a", "mist", 24, 31, LossCause.ROT, 2),
                        loss("b", "frame", 0, 7, LossCause.DRIED, 4),
                        loss("c", "frame", 0, 7, LossCause.MISLAID, 1)),
                Map.of("mist", 40, "frame", 20),
                Map.of());
        assertThat(sums.pieces()).isEqualTo(13);
        assertThat(sums.byCause().get(0)).isEqualTo(new Losses.Cause(LossCause.ROT, 8, 1));
        assertThat(sums.byWeek())
                .extracting(Losses.Week::week, Losses.Week::pieces)
                .containsExactly(tuple(1, 11), tuple(4, 2));
        assertThat(sums.byPlace().get(0).lost()).isCloseTo(0.2, within(1e-12));
        assertThat(sums.byPlace().get(1).most()).isEqualTo(LossCause.DRIED);
        assertThat(sums.byWay().get(0).lost()).isZero();
        assertThat(sums.check())
                .extracting(s -> s.rule())
                .containsExactly(Losses.Check.ROT_EARLY, Losses.Check.DRIED, Losses.Check.ROT_LATE);
        assertThat(Losses.of(List.of(), Map.of(), Map.of()).check()).isEmpty();
    }

    /** Forty batches of one way in two houses; in the second the rate is so much less. */
    private static List<FinishedBatch> houses(long seed, double less) {
        PlantedBatches all = new PlantedBatches(seed, RHO);
        for (int i = 0; i < 20; i++) {
            all.add(1, "Fuchsia", 0.75, 40, Factor.PLACE, "house 1", Factor.MEDIUM, "perlite")
                    .add(1, "Fuchsia", 0.75 - less, 40, Factor.PLACE, "house 2", Factor.MEDIUM, "perlite");
        }
        return all.all();
    }

    private static Shared by(List<Shared> all, Shared.By by) {
        return all.stream().filter(s -> s.by() == by).findFirst().orElseThrow();
    }

    @Test
    void batchesOfOneHouseAreFoundAlikeWhereTheHouseBears() {
        List<Shared> found = Shared.of(houses(3, 0.35), RHO);
        Shared place = by(found, Shared.By.PLACE);
        assertThat(place.isTold()).isTrue();
        assertThat(place.likeness()).isPositive();
        assertThat(place.rows()).hasSize(2);
        assertThat(place.rows().get(0).above())
                .isGreaterThan(place.rows().get(1).above());
        assertThat(by(found, Shared.By.PERSON).isEnough()).isFalse();
        assertThat(by(found, Shared.By.WEEK).isEnough()).isFalse();
    }

    @Test
    void whatIsSharedIsAllowedForInAComparison() {
        // All batches of peat were stuck by one person, whose batches go together.
        List<FinishedBatch> all = new PlantedBatches(31, RHO)
                .add(5, "Fuchsia", 0.8, 40, Factor.MEDIUM, "perlite", Factor.PERSON, "Wren")
                .add(5, "Fuchsia", 0.8, 40, Factor.MEDIUM, "perlite", Factor.PERSON, "Tern")
                .add(10, "Fuchsia", 0.55, 40, Factor.MEDIUM, "peat", Factor.PERSON, "Skua")
                .all();
        Comparison.Asked medium = new Comparison.Asked(Factor.MEDIUM, "perlite", "peat");
        Difference alone = Comparison.of(medium, all, RHO).difference().orElseThrow();
        Sharing alike = new Sharing(Map.of(Shared.By.PERSON, 0.5));
        Difference allowed = Comparison.of(medium, all, RHO, alike).difference().orElseThrow();
        assertThat(allowed.high() - allowed.low()).isGreaterThan(1.3 * (alone.high() - alone.low()));
        assertThat(allowed.chance()).isLessThan(alone.chance());
        // Five batches with a likeness of a half count as five thirds of a batch.
        assertThat(alike.shares(all.subList(0, 5), Factor.MEDIUM).values())
                .allSatisfy(share -> assertThat(share).isCloseTo(1 / 3.0, within(1e-12)));
        assertThat(alike.shares(all.subList(0, 5), Factor.PERSON).values()).containsOnly(1.0);
        assertThat(Sharing.of(Shared.of(houses(3, 0.35), RHO)).likeness()).containsKey(Shared.By.PLACE);
    }

    @Test
    void whereNothingIsSharedItIsSeldomTold() {
        int told = 0;
        int lives = 60;
        for (int life = 0; life < lives; life++) {
            told += by(Shared.of(houses(2000 + life, 0), RHO), Shared.By.PLACE).isTold() ? 1 : 0;
        }
        assertThat(told / (double) lives).isLessThanOrEqualTo(0.07);
    }

    @Test
    void twoBatchesThatWentOppositeWaysStandSideBySide() {
        PlantedBatches all = new PlantedBatches(9, 0)
                .add(1, "Fuchsia", 0.95, 40, Factor.MEDIUM, "perlite", Factor.PLACE, "mist", Factor.PERSON, "Wren")
                .add(1, "Fuchsia", 0.15, 40, Factor.MEDIUM, "perlite", Factor.PLACE, "frame", Factor.PERSON, "Wren")
                .add(2, "Salvia", 0.6, 40, Factor.MEDIUM, "perlite");
        List<OtherWay> found = OtherWay.of(all.all(), RHO);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).well().code()).isEqualTo("b0");
        assertThat(found.get(0).badly().code()).isEqualTo("b1");
        assertThat(found.get(0).differ()).containsExactly(new OtherWay.Differs(Factor.PLACE, "mist", "frame"));
    }

    @Test
    void batchesThatOnlyScatterAreNotLaidSideBySide() {
        int told = 0;
        for (int life = 0; life < 40; life++) {
            told += OtherWay.of(
                            new PlantedBatches(300 + life, RHO)
                                    .add(12, "Fuchsia", 0.7, 40, Factor.MEDIUM, "perlite")
                                    .all(),
                            RHO)
                    .size();
        }
        // Sixty-six pairs a life, each with three in a thousand at most; neighbours within six weeks are fewer.
        assertThat(told).isLessThan(16);
    }

    @Test
    void theWorthOfAnAnswerIsThatOfSampleInformation() {
        // Unit normal loss: L(0) = 0.3989, L(1) = 0.0833, in units of the spread.
        assertThat(TryNext.gain(0, 0.1)).isCloseTo(0.03989, within(1e-5));
        assertThat(TryNext.gain(-0.1, 0.1)).isCloseTo(0.00833, within(1e-5));
        assertThat(TryNext.gain(0.1, 0.1)).isCloseTo(TryNext.gain(-0.1, 0.1), within(1e-12));
        assertThat(TryNext.gain(0.1, 0)).isZero();
    }

    @Test
    void whatIsStuckMostIsWorthTryingFirstAndWhatIsAnsweredIsNotTried() {
        List<FinishedBatch> all = new PlantedBatches(12, RHO)
                .add(10, "Fuchsia", 0.6, 60, Factor.MEDIUM, "perlite")
                .add(1, "Fuchsia", 0.6, 60, Factor.MEDIUM, "peat")
                .add(2, "Salvia", 0.6, 10, Factor.MEDIUM, "perlite")
                .add(1, "Salvia", 0.6, 10, Factor.MEDIUM, "peat")
                .add(8, "Penstemon", 0.9, 40, Factor.MEDIUM, "perlite")
                .add(8, "Penstemon", 0.3, 40, Factor.MEDIUM, "peat")
                .all();
        List<TryNext> next = TryNext.of(all, RHO, Sharing.NONE, LocalDate.of(2025, 9, 1));
        assertThat(next).extracting(TryNext::plant).contains("Fuchsia").doesNotContain("Penstemon");
        assertThat(next.get(0).plant()).isEqualTo("Fuchsia");
        assertThat(next.get(0).worth()).isPositive();
        assertThat(next.get(0).each())
                .isEqualTo(next.get(0).worth() / next.get(0).pieces());
        // Nothing of it was stuck in the year before: an answer is worth nothing.
        assertThat(TryNext.of(all, RHO, Sharing.NONE, LocalDate.of(2029, 9, 1))).isEmpty();
    }

    /** What was told apart but for something that went along with it is not what nobody tried: something else may have done as much as a way does. */
    @Test
    void whatWentWithSomethingElseIsWorthLittleWhereItDidWorse() {
        List<FinishedBatch> all = new PlantedBatches(31, RHO)
                .add(20, "Fuchsia", 0.85, 40, Factor.MEDIUM, "plugs", Factor.BASE, "warm")
                .add(8, "Fuchsia", 0.6, 40, Factor.MEDIUM, "water", Factor.BASE, "none")
                .all();
        Comparison.Asked asked = new Comparison.Asked(Factor.MEDIUM, "plugs", "water");
        Comparison c = Comparison.of(asked, all, RHO, Sharing.NONE);
        assertThat(c.verdict()).isEqualTo(Comparison.Verdict.MIXED);
        TryNext next = TryNext.of(all, RHO, Sharing.NONE, LocalDate.of(2025, 9, 1)).stream()
                .filter(t -> t.asked().equals(asked))
                .findFirst()
                .orElseThrow();

        double kept = all.stream().mapToDouble(b -> b.count().kept()).sum();
        double rate = kept / all.stream().mapToDouble(b -> b.count().of()).sum();
        double trial = 2 * rate * (1 - rate) / (next.pieces() / 2.0);
        double own = Math.pow(
                (c.difference().orElseThrow().high()
                                - c.difference().orElseThrow().low())
                        / (2 * 1.644853627),
                2);
        double precision = 1 / (own + 0.15 * 0.15);
        double v = 1 / (precision + 1 / (0.15 * 0.15));
        double mean = -c.difference().orElseThrow().mean() * precision * v;
        assertThat(mean).isLessThan(-0.1);
        assertThat(next.worth() / next.aYear()).isCloseTo(TryNext.gain(mean, v / Math.sqrt(v + trial)), within(1e-9));
        double nothingKnown = TryNext.gain(0, 0.15 * 0.15 / Math.sqrt(0.15 * 0.15 + trial));
        assertThat(next.worth() / next.aYear()).isLessThan(nothingKnown / 3);
    }

    @Test
    void batchesOfOneWayThatShareAHouseCountAsLessThanThemselves() {
        List<FinishedBatch> all = houses(3, 0.35);
        Shared place = by(Shared.of(all, RHO), Shared.By.PLACE);
        List<FinishedBatch> counted = Sharing.of(Shared.of(all, RHO)).allowedFor(all);
        double told = 1 / (1 + 19 * Math.min(1, place.likeness()));
        assertThat(counted).allSatisfy(b -> assertThat(b.counts()).isCloseTo(told, within(1e-12)));
        assertThat(counted.get(0).effectivePieces(RHO))
                .isCloseTo(told * all.get(0).count().effectivePieces(RHO), within(1e-12));
        assertThat(Sharing.NONE.allowedFor(all)).isEqualTo(all);
    }

    /** Where houses bear on the rate and nothing is grown better with time, a trend is said in no more lives than chance allows. */
    @Test
    void aHouseThatIsUsedLaterIsNoTrendWhereItIsAllowedFor() {
        int plain = 0;
        int allowed = 0;
        int lives = 60;
        for (int life = 0; life < lives; life++) {
            PlantedBatches made = new PlantedBatches(4000 + life, RHO);
            Random random = new Random(life);
            // Ten houses, one after the other, each with luck of its own.
            for (int house = 0; house < 10; house++) {
                double rate = 0.6 + 0.18 * random.nextGaussian();
                made.add(
                        8,
                        "Fuchsia",
                        Math.max(0.1, Math.min(0.95, rate)),
                        40,
                        Factor.PLACE,
                        "house " + house,
                        Factor.MEDIUM,
                        "perlite");
            }
            List<FinishedBatch> all = made.all();
            plain += isSaid(OverTime.of(all, RHO));
            allowed += isSaid(OverTime.of(Sharing.of(Shared.of(all, RHO)).allowedFor(all), RHO));
        }
        assertThat(allowed).isLessThan(plain);
    }

    private static int isSaid(OverTime over) {
        return over.slope().filter(s -> s.trend() != OverTime.Trend.SAME).isPresent() ? 1 : 0;
    }
}
