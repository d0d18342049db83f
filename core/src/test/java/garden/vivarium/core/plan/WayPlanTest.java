package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.OutputRatio;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WayPlanTest {

    private static final Guide GUIDE = Guide.load();
    private static final Setting NORTHERN_HOUSE = new Setting(Climate.HEATED, Hemisphere.NORTH);
    private static final LocalDate APRIL = LocalDate.of(2026, 4, 1);
    private static final LocalDate DECEMBER = LocalDate.of(2026, 12, 1);

    @Test
    void takeReachesTheChanceAskedAndOneFewerDoesNot() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9);

        int take = plan.take().orElseThrow().pieces();
        assertThat(plan.chance(take)).isGreaterThanOrEqualTo(0.9);
        assertThat(plan.chance(take - 1)).isLessThan(0.9);
        assertThat(WayWorking.take(plan).steps()).last().satisfies(s -> {
            assertThat(s.rule()).isEqualTo(WayWorking.Step.LEAST);
            assertThat(s.number("take")).isEqualTo(take);
            assertThat(s.number("chance")).isEqualTo(plan.chance(take));
            assertThat(s.number("fewer")).isEqualTo(plan.chance(take - 1));
        });
    }

    @Test
    void theLastSafeStartIsTheLastDayOnWhichTheStockSuffices() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9);
        LocalDate last = plan.lastSafeStart().orElseThrow();

        WayPlan then = WayPlan.of(
                plan.outlook(), aim(24, 1, APRIL.plusDays(75), 0.9), NORTHERN_HOUSE, OptionalInt.of(80), last);
        WayPlan after = WayPlan.of(
                plan.outlook(),
                aim(24, 1, APRIL.plusDays(75), 0.9),
                NORTHERN_HOUSE,
                OptionalInt.of(80),
                last.plusDays(1));
        assertThat(then.take().orElseThrow().pieces()).isLessThanOrEqualTo(80);
        assertThat(after.take().map(TakeCount::pieces).orElse(TakeCount.most(24)))
                .isGreaterThan(80);
    }

    @Test
    void theLaterTheStartTheMoreToTakeAndTheStocksLimitIsCrossedAtTheLastSafeStart() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9);
        List<WayPlan.StartDay> days = plan.startOrTake(20);

        assertThat(days.get(0).start()).isEqualTo(APRIL);
        assertThat(days.get(days.size() - 1).start()).isEqualTo(APRIL.plusDays(75));
        assertThat(days.get(0).pieces()).hasValue(plan.take().orElseThrow().pieces());
        int before = 0;
        for (WayPlan.StartDay day : days) {
            int now = day.pieces().orElse(TakeCount.most(24) + 1);
            assertThat(now).as("on %s", day.start()).isGreaterThanOrEqualTo(before);
            boolean safe = !day.start().isAfter(plan.lastSafeStart().orElseThrow());
            assertThat(now <= 80).as("within the stock on %s", day.start()).isEqualTo(safe);
            before = now;
        }
        assertThat(days.get(days.size() - 1).pieces())
                .as("on the day due none would do")
                .isEmpty();
    }

    @Test
    void theCurveSlopesIntoTheSeason() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, DECEMBER, 200, 0.9);
        List<WayPlan.StartDay> days = plan.startOrTake(60);

        WayPlan.StartDay winter = at(days, LocalDate.of(2027, 2, 27));
        WayPlan.StartDay spring = at(days, LocalDate.of(2027, 2, 28));
        assertThat(winter.inSeason()).isFalse();
        assertThat(spring.inSeason()).as("a day before is as good").isTrue();
        assertThat(winter.pieces().orElseThrow())
                .isBetween(spring.pieces().orElseThrow(), spring.pieces().orElseThrow() + 2);
        assertThat(plan.take().orElseThrow().pieces())
                .as("the depth of winter takes more")
                .isGreaterThan(spring.pieces().orElseThrow());
    }

    @Test
    void whatIsHarvestedAgreesWithItsChances() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9);
        int take = plan.take().orElseThrow().pieces();
        YoungPlants young = plan.youngPlants(take);

        assertThat(young.tenth()).as("the aim itself is met nine times in ten").isEqualTo(24);
        assertThat(young.middle()).isBetween(25, young.ninetieth());
        assertThat(young.ninetieth()).isLessThanOrEqualTo(take);
        assertThat(plan.youngPlants(0)).isEqualTo(new YoungPlants(0, 0, 0));
    }

    @Test
    void whatWouldChangeItMostComesFirst() {
        WayPlan tight = plan("tip-in-plugs", 24, 1, APRIL, 46, 0.7);
        List<Integer> takes = WayWorking.changes(tight).steps().stream()
                .map(s -> (int) s.number("take"))
                .toList();

        assertThat(takes).hasSize(5).isSorted();
        assertThat(takes.get(0)).isLessThan(tight.take().orElseThrow().pieces());
        assertThat(WayWorking.changes(tight).steps().get(0).rule())
                .as("with little time, time matters most")
                .isEqualTo(WayWorking.Step.A_WEEK_MORE);
        WayPlan roomy = plan("tip-in-plugs", 24, 1, APRIL, 150, 0.95);
        assertThat(WayWorking.changes(roomy).steps().get(0).rule())
                .as("with all the time, a week changes nothing")
                .isNotEqualTo(WayWorking.Step.A_WEEK_MORE);
    }

    @Test
    void whatItIsSureOfIsTheMostThatWouldDo() {
        WayPlan plan = plan("tip-in-plugs", 60, 1, APRIL, 60, 0.9);
        int sure = plan.sureOf(40);

        assertThat(plan("tip-in-plugs", sure, 1, APRIL, 60, 0.9).chance(40)).isGreaterThanOrEqualTo(0.9);
        assertThat(plan("tip-in-plugs", sure + 1, 1, APRIL, 60, 0.9).chance(40)).isLessThan(0.9);
    }

    @Test
    void leavesThatGiveSeveralHarvestMoreThanThePiecesTaken() {
        WayPlan plan = plan("leaf-section-in-vermiculite", 12, 1, APRIL, 200, 0.9);
        assertThat(plan.youngPlants(20).ninetieth()).isGreaterThan(20);
        assertThat(plan.youngPlants(20).tenth()).isLessThan(plan.youngPlants(20).middle());
    }

    @ParameterizedTest
    @ValueSource(ints = {60, 90, 200})
    void theEarliestDayDueIsTheFirstThatWouldDo(int pieces) {
        WayPlan plan = plan("tip-in-plugs", 20, 1, APRIL, 30, 0.9);
        LocalDate earliest = plan.earliestDue(pieces).orElseThrow();
        int days = (int) java.time.temporal.ChronoUnit.DAYS.between(APRIL, earliest);

        assertThat(plan("tip-in-plugs", 20, 1, APRIL, days, 0.9).chance(pieces)).isGreaterThanOrEqualTo(0.9);
        assertThat(plan("tip-in-plugs", 20, 1, APRIL, days - 1, 0.9).chance(pieces))
                .isLessThan(0.9);
        assertThat(plan.earliestDue(20))
                .as("20 of 20, nine times in ten, is too much to ask")
                .isEmpty();
    }

    private static WayPlan.StartDay at(List<WayPlan.StartDay> days, LocalDate day) {
        return days.stream().filter(d -> d.start().equals(day)).findFirst().orElseThrow();
    }

    @Test
    void severalPiecesToAPotTakeMore() {
        int single =
                plan("tip-in-plugs", 24, 1, APRIL, 90, 0.9).take().orElseThrow().pieces();
        int triple =
                plan("tip-in-plugs", 24, 3, APRIL, 90, 0.9).take().orElseThrow().pieces();

        assertThat(triple).isGreaterThan(2 * single);
    }

    @Test
    void severalPlantsFromAPieceTakeFewer() {
        Protocol leaf = GUIDE.protocol("leaf-stalk-in-perlite").orElseThrow();
        WayPlan plan = plan("leaf-stalk-in-perlite", 24, 1, APRIL, 170, 0.9);

        assertThat(leaf.figures().output().mean()).isGreaterThan(1.5);
        assertThat(plan.take().orElseThrow().pieces())
                .as("than where each leaf gave but one")
                .isLessThan(TakeCount.least(
                                plan.outlook().readyBy(NORTHERN_HOUSE, APRIL, APRIL.plusDays(170)),
                                OutputRatio.one(),
                                24,
                                0.9)
                        .orElseThrow()
                        .pieces());
        assertThat(WayWorking.take(plan).steps()).anySatisfy(s -> {
            assertThat(s.rule()).isEqualTo(WayWorking.Step.YOUNG_PLANTS);
            assertThat(s.figures().get("chances"))
                    .isEqualTo(leaf.figures().output().chances());
        });
    }

    @Test
    void outOfSeasonIsSlowerAndPoorerNotOnlyWider() {
        WayPlan winter = plan("tip-in-plugs", 24, 1, DECEMBER, 170, 0.8);
        WayPlan summer = plan("tip-in-plugs", 24, 1, APRIL, 170, 0.8);

        assertThat(winter.isInSeason()).isFalse();
        assertThat(winter.take().orElseThrow().pieces())
                .isGreaterThan(summer.take().orElseThrow().pieces());
        assertThat(winter.expected().ready().from().toEpochDay() - DECEMBER.toEpochDay())
                .isGreaterThan(summer.expected().ready().from().toEpochDay() - APRIL.toEpochDay());
        assertThat(winter.betterInSeason().orElseThrow().start()).isEqualTo(LocalDate.of(2027, 2, 28));
    }

    @Test
    void underLampsAndInTheSouthDecemberIsInSeason() {
        Protocol protocol = GUIDE.protocol("tip-in-plugs").orElseThrow();
        Aim aim = aim(24, 1, DECEMBER.plusDays(120), 0.9);
        Outlook outlook = Outlook.ofGuide(protocol, 0.1);
        for (Setting setting : new Setting[] {
            new Setting(Climate.LIT, Hemisphere.NORTH),
            new Setting(Climate.OPEN, Hemisphere.SOUTH),
            new Setting(Climate.TROPICAL, Hemisphere.NORTH)
        }) {
            assertThat(WayPlan.of(outlook, aim, setting, OptionalInt.of(80), DECEMBER)
                            .isInSeason())
                    .isTrue();
        }
    }

    @Test
    void aLargeAimSaysThatItWasScaled() {
        WayPlan large = plan("tip-in-plugs", 1500, 3, APRIL, 150, 0.8);

        assertThat(large.take().orElseThrow().isScaled()).isTrue();
        assertThat(large.take().orElseThrow().pieces()).isGreaterThan(5000);
        assertThat(WayWorking.take(large).steps())
                .last()
                .satisfies(s -> assertThat(s.rule()).isEqualTo(WayWorking.Step.SCALED));
    }

    @Test
    void whatNoNumberWouldDoIsSaidWithoutOne() {
        WayPlan plan = plan("semi-ripe-in-perlite", 24, 1, APRIL, 20, 0.9);

        assertThat(plan.isBeyondReach()).isTrue();
        assertThat(plan.lastSafeStart()).isEmpty();
        assertThat(WayWorking.take(plan).steps())
                .last()
                .satisfies(s -> assertThat(s.rule()).isEqualTo(WayWorking.Step.NONE));
    }

    @Test
    void stockThatCannotGiveSoManyIsSaid() {
        assertThat(plan("tip-in-plugs", 200, 1, APRIL, 75, 0.9).isStockShort()).isTrue();
        assertThat(plan("tip-in-plugs", 10, 1, APRIL, 75, 0.9).isStockShort()).isFalse();
    }

    @Test
    void pottedOnDayNoughtHasOneTestNotTwo() {
        WayPlan division = plan("clump-in-leafy-compost", 12, 1, APRIL, 90, 0.9);

        assertThat(division.expected().firstSign()).isEmpty();
        assertThat(division.expected().settled()).isEmpty();
        assertThat(division.expected().stuck()).isEqualTo(APRIL);
    }

    @Test
    void callusComesBeforeDayNought() {
        WayPlan pads = plan("pad-in-grit", 12, 1, APRIL, 150, 0.9);

        assertThat(pads.expected().stuck()).isEqualTo(APRIL.plusDays(9));
        assertThat(pads.expected().callus().orElseThrow().from()).isEqualTo(APRIL.plusDays(4));
        assertThat(pads.expected().settled()).isPresent();
    }

    @ParameterizedTest
    @ValueSource(ints = {30, 45, 60, 90, 150})
    void moreTimeNeverTakesMore(int days) {
        WayPlan shorter = plan("tip-in-water", 24, 1, APRIL, days, 0.9);
        WayPlan longer = plan("tip-in-water", 24, 1, APRIL, days + 7, 0.9);

        assertThat(longer.take().orElseThrow().pieces())
                .isLessThanOrEqualTo(shorter.take().map(TakeCount::pieces).orElse(TakeCount.most(24)));
    }

    @Test
    void anUnknownLimitIsStoodForByTwiceTheLeast() {
        Outlook outlook = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.1);
        WayPlan plan =
                WayPlan.of(outlook, aim(24, 1, APRIL.plusDays(75), 0.9), NORTHERN_HOUSE, OptionalInt.empty(), APRIL);

        assertThat(plan.isStockShort()).isFalse();
        assertThat(WayWorking.lastSafeStart(plan).steps().get(0).rule()).isEqualTo(WayWorking.Step.STOCK_NOT_KNOWN);
        assertThat(plan.lastSafeStart()).isPresent();
    }

    @Test
    void aimsOutOfBoundsAreRefused() {
        assertThatThrownBy(() -> aim(0, 1, APRIL, 0.9)).hasMessageContaining("1 to 5,000");
        assertThatThrownBy(() -> aim(5, 1, APRIL, 1)).hasMessageContaining("confidence");
    }

    private static WayPlan plan(String key, int wanted, int perPot, LocalDate start, int days, double confidence) {
        return WayPlan.of(
                Outlook.ofGuide(GUIDE.protocol(key).orElseThrow(), 0.1),
                aim(wanted, perPot, start.plusDays(days), confidence),
                NORTHERN_HOUSE,
                OptionalInt.of(80),
                start);
    }

    private static Aim aim(int wanted, int perPot, LocalDate due, double confidence) {
        return new Aim(wanted, perPot, due, confidence);
    }

    @Test
    void stockThatNobodyCountedIsTakenToBearTwiceWhatWouldDoWithAllTheTime() {
        Outlook outlook = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.1);
        Aim aim = aim(24, 1, APRIL.plusDays(75), 0.9);
        WayPlan plan = WayPlan.of(outlook, aim, NORTHERN_HOUSE, OptionalInt.empty(), APRIL);
        int least = TakeCount.least(outlook.readyInTheEnd(NORTHERN_HOUSE, APRIL), outlook.output(), 24, 0.9)
                .orElseThrow()
                .pieces();

        assertThat(plan.piecesAtMost()).isEqualTo(2 * least);
        LocalDate last = plan.lastSafeStart().orElseThrow();
        assertThat(plan.chance(last, 2 * least)).isGreaterThanOrEqualTo(0.9);
        assertThat(plan.chance(last.plusDays(1), 2 * least)).as("a day later").isLessThan(0.9);
    }

    @Test
    void whatIsKnownOfTheStockAndOfReachIsSaid() {
        Outlook outlook = Outlook.ofGuide(GUIDE.protocol("tip-in-plugs").orElseThrow(), 0.1);
        Aim aim = aim(24, 1, APRIL.plusDays(75), 0.9);
        int take =
                plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9).take().orElseThrow().pieces();

        WayPlan uncounted = WayPlan.of(outlook, aim, NORTHERN_HOUSE, OptionalInt.empty(), APRIL);
        WayPlan just = WayPlan.of(outlook, aim, NORTHERN_HOUSE, OptionalInt.of(take), APRIL);
        WayPlan oneFewer = WayPlan.of(outlook, aim, NORTHERN_HOUSE, OptionalInt.of(take - 1), APRIL);
        assertThat(uncounted.isStockCounted()).isFalse();
        assertThat(uncounted.isStockShort()).isFalse();
        assertThat(just.isStockCounted()).isTrue();
        assertThat(just.isStockShort()).as("just as many").isFalse();
        assertThat(oneFewer.isStockShort()).isTrue();
        assertThat(just.isBeyondReach()).isFalse();
        assertThat(just.lastSafeStart()).isPresent();
        assertThat(oneFewer.lastSafeStart()).as("a day earlier would not help").isEmpty();
    }

    @Test
    void howTheLastSafeStartCameAboutIsShown() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9);
        LocalDate last = plan.lastSafeStart().orElseThrow();
        Working working = WayWorking.lastSafeStart(plan);

        assertThat(working.question().rule()).isEqualTo(WayWorking.Step.LAST_SAFE_START);
        assertThat(working.steps())
                .containsExactly(
                        Statement.of(WayWorking.Step.ALL_OF_THE_STOCK, "most", 80),
                        Statement.of(WayWorking.Step.STARTED_ON, "day", last, "chance", plan.chance(last, 80)),
                        Statement.of(WayWorking.Step.A_DAY_LATER, "chance", plan.chance(last.plusDays(1), 80)));
        WayPlan never = plan("semi-ripe-in-perlite", 24, 1, APRIL, 20, 0.9);
        assertThat(WayWorking.lastSafeStart(never).steps())
                .last()
                .isEqualTo(Statement.of(WayWorking.Step.NEVER_SAFE, "chance", never.chance(80), "asked", 0.9));
        WayPlan uncounted = WayPlan.of(plan.outlook(), plan.aim(), NORTHERN_HOUSE, OptionalInt.empty(), APRIL);
        assertThat(WayWorking.lastSafeStart(uncounted).steps().get(0).rule())
                .isEqualTo(WayWorking.Step.STOCK_NOT_KNOWN);
        assertThat(WayWorking.take(plan).steps())
                .extracting(Statement::rule)
                .doesNotContain(WayWorking.Step.OUT_OF_SEASON);
        assertThat(WayWorking.take(plan("tip-in-plugs", 24, 1, DECEMBER, 170, 0.8))
                        .steps())
                .extracting(Statement::rule)
                .contains(WayWorking.Step.OUT_OF_SEASON);
    }

    @Test
    void aBetterSeasonIsOfferedOnlyWhereItIsBetter() {
        assertThat(plan("tip-in-plugs", 24, 1, APRIL, 170, 0.8).betterInSeason())
                .as("in season already")
                .isEmpty();
        WayPlan late = plan("tip-in-plugs", 24, 1, DECEMBER, 110, 0.8);
        late.betterInSeason()
                .ifPresent(b -> assertThat(b.take().pieces())
                        .isLessThan(late.take().map(TakeCount::pieces).orElse(Integer.MAX_VALUE)));
        assertThat(plan("tip-in-plugs", 24, 1, DECEMBER, 100, 0.8).betterInSeason())
                .as("spring would be too late")
                .isEmpty();
    }

    @Test
    void aDayAfterTheLastSafeStartTheChanceIsTooSmall() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 75, 0.9);
        LocalDate last = plan.lastSafeStart().orElseThrow();

        assertThat(plan.chance(last, 80)).isGreaterThanOrEqualTo(0.9);
        assertThat(plan.chance(last.plusDays(1), 80)).isLessThan(0.9);
    }

    /** Each change is the same sum with the one thing changed. */
    @Test
    void whatWouldChangeTheNumberIsReckonedAnewForEach() {
        WayPlan plan = plan("tip-in-plugs", 24, 1, APRIL, 60, 0.9);
        Map<Object, Integer> takes = WayWorking.changes(plan).steps().stream()
                .collect(Collectors.toMap(Statement::rule, s -> (int) s.number("take")));
        StrikeRate strike = plan.outlook().inSeason().strike();
        double strength = strike.alpha() + strike.beta();
        double better = strike.mean() + 0.05;

        assertThat(takes.get(WayWorking.Step.FIVE_MORE_STRIKE))
                .isEqualTo(least(plan, strike.withBeta(better * strength, (1 - better) * strength), 0.9));
        assertThat(takes.get(WayWorking.Step.HALF_THE_SPREAD))
                .isEqualTo(least(plan, strike.withRho(strike.rho() / 2), 0.9));
        assertThat(takes.get(WayWorking.Step.TWICE_KNOWN))
                .isEqualTo(least(plan, strike.withBeta(2 * strike.alpha(), 2 * strike.beta()), 0.9));
        assertThat(takes.get(WayWorking.Step.TEN_LESS_SURE)).isEqualTo(least(plan, strike, 0.8));
        assertThat(WayWorking.changes(plan).steps())
                .allSatisfy(s -> assertThat(s.number("now"))
                        .isEqualTo(plan.take().orElseThrow().pieces()))
                .extracting(s -> (int) s.number("take"))
                .isSorted();
    }

    private static int least(WayPlan plan, StrikeRate strike, double confidence) {
        Outlook outlook = plan.outlook().with(s -> strike);
        return TakeCount.least(
                        outlook.readyBy(NORTHERN_HOUSE, plan.start(), plan.aim().due()),
                        outlook.output(),
                        plan.aim().pieces(),
                        confidence)
                .orElseThrow()
                .pieces();
    }
}
