package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.Level;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.Certainty;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.Season;
import garden.vivarium.core.timing.SeasonFactors;
import garden.vivarium.core.timing.Window;
import java.time.LocalDate;
import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked values of what the guide is worth, of seasons that slope, and of numbers that growers name. */
class BelievedSumsTest {

    @Test
    void theGuidesRatePassesEveryLevelWhole() {
        StrikeRate rate = StrikeRate.of(
                0.70,
                4,
                List.of(
                        new Level(Closeness.OTHER_PLANTS, List.of(new BatchCount(18, 24))),
                        new Level(Closeness.OTHER_WAYS, List.of(new BatchCount(31, 36))),
                        new Level(Closeness.THIS_WAY, List.of(new BatchCount(9, 20)))),
                0.08);

        assertThat(rate.alpha()).isCloseTo(11.1910, within(5e-5));
        assertThat(rate.beta()).isCloseTo(6.58813, within(5e-6));
        assertThat(rate.quantile(0.05)).isCloseTo(0.437489, within(5e-7));
        assertThat(rate.quantile(0.95)).isCloseTo(0.804390, within(5e-7));
        assertThat(rate.guideWeight()).isEqualTo(4);
    }

    @ParameterizedTest
    @CsvSource({
        "18, 24, 0.90, 0.60, 22.5",
        "9, 20, 0.90, 0.60, 17.25",
        "18, 24, 0.60, 0.90, 12",
        "9, 24, 0.70, 0.35, 17.0769",
        "18, 24, 0.35, 0.70, 9"
    })
    void batchesOfOtherKindsAndSeasonsSpeakOfTheHand(double kept, double of, double asked, double own, double then) {
        BatchCount speaks = new BatchCount(kept, of).speakingFor(asked, own);

        assertThat(speaks.kept()).isCloseTo(then, within(5e-5));
        assertThat(speaks.of()).isEqualTo(of);
    }

    @ParameterizedTest
    @CsvSource({
        "0.97, PROVERBIAL, 5.37231, 0.166154",
        "0.92, WELL,       4.14,    0.36",
        "0.75, FAIRLY,     2.53125, 0.84375"
    })
    void theNextBatchByTheGuideAlone(double rate, Certainty known, double a, double b) {
        NextBatch next = StrikeRate.ofGuide(rate, known.pieces(), 0.1).nextBatch();

        assertThat(next.a()).isCloseTo(a, within(5e-5));
        assertThat(next.b()).isCloseTo(b, within(5e-6));
    }

    @ParameterizedTest
    @CsvSource({
        "6,  0.97, PROVERBIAL, 6,  6,  7,   0",
        "24, 0.92, WELL,       25, 27, 32,  0.911652",
        "72, 0.90, WELL,       75, 84, 100, 0.900913",
        "20, 0.75, WELL,       25, 32, 42,  0.901218",
        "8,  0.75, FAIRLY,     10, 13, 19,  0.909638"
    })
    void numbersThatGrowersName(
            int wanted, double rate, Certainty known, int half, int three, int nine, double chance) {
        ReadyChance ready = ReadyChance.withUnlimitedTime(
                StrikeRate.ofGuide(rate, known.pieces(), 0.1).nextBatch());

        assertThat(take(ready, wanted, 0.5).pieces()).isEqualTo(half);
        assertThat(take(ready, wanted, 0.75).pieces()).isEqualTo(three);
        assertThat(take(ready, wanted, 0.9).pieces()).isEqualTo(nine);
        if (chance > 0) {
            assertThat(take(ready, wanted, 0.9).chance()).isCloseTo(chance, within(5e-7));
        }
    }

    private static TakeCount take(ReadyChance ready, int wanted, double confidence) {
        return TakeCount.least(ready, OutputRatio.one(), wanted, confidence).orElseThrow();
    }

    private static final NextBatch OF_3B = new NextBatch(6.88321, 2.51825);

    /** Window 7.5 to 30, nothing unsure of the way, batches differing by 0.2. */
    private static final RootingTime OF_4B =
            new RootingTime(new Window(7.5, 30).mu(), 0, 0, 0.2, RootingTime.guideWithin(new Window(7.5, 30)), 0);

    @ParameterizedTest
    @CsvSource({
        "0,  0.5, 32, 0.541388", "0,  0.75, 38, 0.776074", "0,  0.9, 45, 0.900439",
        "28, 0.5, 37, 0.540921", "28, 0.75, 44, 0.761342", "28, 0.9, 54, 0.905471"
    })
    void threeCertainties(int days, double confidence, int pieces, double chance) {
        ReadyChance ready = days == 0 ? ReadyChance.withUnlimitedTime(OF_3B) : ReadyChance.after(OF_3B, OF_4B, days);
        TakeCount take = take(ready, 24, confidence);

        assertThat(take.pieces()).isEqualTo(pieces);
        assertThat(take.chance()).isCloseTo(chance, within(5e-6));
    }

    @Test
    void tooSoonIsNotTooFew() {
        assertThat(take(ReadyChance.after(OF_3B, OF_4B, 14), 24, 0.9).pieces()).isEqualTo(143);
        assertThat(ReadyChance.after(OF_3B, OF_4B, 18).atLeast(24, 90)).isCloseTo(0.916143, within(5e-6));
        assertThat(ReadyChance.after(OF_3B, OF_4B, 17).atLeast(24, 90)).isCloseTo(0.879899, within(5e-6));
        assertThat(ReadyChance.after(OF_3B, OF_4B, 14).atLeast(15, 90)).isCloseTo(0.900692, within(5e-6));
        assertThat(ReadyChance.after(OF_3B, OF_4B, 14).atLeast(16, 90)).isCloseTo(0.880651, within(5e-6));
    }

    private static final Season MARCH_TO_AUGUST =
            new Season(EnumSet.range(Month.MARCH, Month.AUGUST), 1.6, 0.85, Season.Of.WARMTH);

    @ParameterizedTest
    @CsvSource({
        "2026-12-01, HEATED, 1.264911, 0.921954",
        "2026-09-15, HEATED, 1.076202, 0.974926",
        "2026-06-01, OPEN,   1,        1",
        "2026-12-01, OPEN,   1.6,      0.85",
        "2026-12-01, LIT,    1,        1"
    })
    void seasonsSlope(LocalDate day, Climate place, double slower, double poorer) {
        SeasonFactors factors = MARCH_TO_AUGUST.factors(day, place, place, Hemisphere.NORTH);

        assertThat(factors.slower()).isCloseTo(slower, within(5e-7));
        assertThat(factors.poorer()).isCloseTo(poorer, within(5e-7));
    }

    @Test
    void anEarlyDayOfSpringIsHardlyOutOfSeason() {
        Season season = new Season(EnumSet.range(Month.APRIL, Month.SEPTEMBER), 1.6, 0.85, Season.Of.WARMTH);
        SeasonFactors march = season.factors(LocalDate.of(2026, 3, 20), Climate.OPEN, Climate.OPEN, Hemisphere.NORTH);

        assertThat(march.slower()).isCloseTo(1.124683, within(5e-7));
        assertThat(march.poorer()).isCloseTo(0.960185, within(5e-7));
        assertThat(march.isOut()).as("levels split at a half").isFalse();
        assertThat(season.away(LocalDate.of(2026, 9, 20), Hemisphere.SOUTH))
                .as("the other half of the globe")
                .isEqualTo(0.25);
    }

    @Test
    void aSeasonOfTheMaterialIsThatOfTheStockPlant() {
        Season ripe =
                new Season(EnumSet.of(Month.NOVEMBER, Month.DECEMBER, Month.JANUARY), 1.2, 0.5, Season.Of.MATERIAL);
        LocalDate may = LocalDate.of(2026, 5, 20);

        assertThat(ripe.factors(may, Climate.LIT, Climate.HEATED, Hemisphere.NORTH)
                        .poorer())
                .as("a lamp over the pieces makes no ripe wood")
                .isEqualTo(0.5);
        assertThat(ripe.factors(may, Climate.OPEN, Climate.TROPICAL, Hemisphere.NORTH)
                        .isInSeason())
                .isTrue();
    }

    @Test
    void noTwoNeighbouringDaysDifferByMuch() {
        for (LocalDate day = LocalDate.of(2026, 1, 1); day.getYear() == 2026; day = day.plusDays(1)) {
            for (Climate place : Climate.values()) {
                double now = MARCH_TO_AUGUST
                        .factors(day, place, place, Hemisphere.NORTH)
                        .slower();
                double then = MARCH_TO_AUGUST
                        .factors(day.plusDays(1), place, place, Hemisphere.NORTH)
                        .slower();
                assertThat(Math.abs(Math.log(now / then))).as(day + " " + place).isLessThan(0.031);
            }
        }
    }
}
