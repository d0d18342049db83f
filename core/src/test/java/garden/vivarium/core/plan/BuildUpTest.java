package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Statement;
import garden.vivarium.core.Times;
import garden.vivarium.core.Working;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.timing.Window;
import java.util.List;
import java.util.Optional;
import org.hipparchus.random.RandomDataGenerator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BuildUpTest {

    /**
     * By hand: 3 plants, 10 pieces a flush, half of them succeed and stand after 40 days, rest 60, grown on 20 days.
     *
     * <pre>
     * day   0  cut 3 plants, 30 pieces           day  40  15 young: 4 kept, 11 sold          11
     * day  60  cut 3, and the 4 grown on        day 100  15 of the first + 20 of the second
     *          first: 15, none kept                       second: 20, 6 kept, 14 sold        40
     * day 120  cut 3 + 4 plants; 6 grown on 120  day 160  15 + 20 + 30 of the third         105
     * </pre>
     */
    @Test
    void threeGenerationsAgreeWithTheHandWorkedExample() {
        BuildUp.Inputs known = known(3, 105, 400);
        List<int[]> sold = BuildUp.run(known, List.of(4, 6), (pieces, generation) -> new int[] {pieces / 2, 40});

        int[] byDay = new int[401];
        sold.forEach(s -> byDay[s[0]] += s[1]);
        assertThat(byDay[40]).isEqualTo(11);
        assertThat(byDay[100]).isEqualTo(15 + 20 - 6);
        assertThat(byDay[160]).isEqualTo(15 + 20 + 30);
        assertThat(sold.stream().mapToInt(s -> s[1]).sum()).isEqualTo(11 + 29 + 65);
        assertThat(sold).allSatisfy(s -> assertThat(s[0]).isIn(40, 100, 160));
    }

    @Test
    void nothingIsCutBeforeItHasRestedOrGrown() {
        BuildUp.Inputs known = known(1, 1000, 300);
        List<int[]> sold = BuildUp.run(known, List.of(), (pieces, generation) -> new int[] {pieces, 40});

        assertThat(sold).extracting(s -> s[0]).containsExactly(40, 100, 160, 220, 280);
        assertThat(sold).extracting(s -> s[1]).containsOnly(10);
    }

    @Test
    void keepingSomeReachesALargeNumberSooner() {
        BuildUp.Inputs known = known(3, 400, 900);
        BuildUp best = BuildUp.best(known);
        BuildUp none = BuildUp.simulate(known, List.of());

        assertThat(best.keeps()).isNotEmpty();
        assertThat(best.middle().orElseThrow()).isLessThan(none.middle().orElse(Integer.MAX_VALUE));
        assertThat(best.early().orElseThrow()).isLessThanOrEqualTo(best.middle().orElseThrow());
        assertThat(best.middle().orElseThrow()).isLessThanOrEqualTo(best.late().orElse(Integer.MAX_VALUE));
        assertThat(best.working(known).steps()).hasSize(4);
    }

    @Test
    void whatOneFlushGivesNeedsNoNewStockPlants() {
        assertThat(BuildUp.best(known(3, 8, 400)).keeps()).isEmpty();
    }

    @Test
    void theCourseNeverFallsAndItsBandsAreInOrder() {
        BuildUp best = BuildUp.best(known(3, 200, 600));
        int before = 0;
        for (BuildUp.Point p : best.course()) {
            assertThat(p.tenth()).isLessThanOrEqualTo(p.middle());
            assertThat(p.middle()).isLessThanOrEqualTo(p.ninetieth()).isGreaterThanOrEqualTo(before);
            before = p.middle();
        }
        assertThat(best.inTime()).isBetween(0.0, 1.0);
    }

    @ParameterizedTest
    @ValueSource(ints = {0, -3})
    void aBuildUpFromNothingIsRefused(int stock) {
        assertThatThrownBy(() -> known(stock, 10, 100)).hasMessageContaining("needs a stock plant");
    }

    /** A way of which everything is known: eight in ten, median day 21, no batch like another by so little as makes no odds. */
    private static BuildUp.Inputs sure(int stock, int flush, int wanted, int horizon, int due, double perPiece) {
        return new BuildUp.Inputs(
                new BuildUp.Inputs.Stock(stock, flush, 60, 20),
                new BuildUp.Inputs.ByWay(
                        new SharedDoubt(
                                new StrikeRate(8e6, 2e6, 1e-3, 0.8, 4, List.of()), Times.of(new Window(20.9, 21.1), 0)),
                        List.of(),
                        10,
                        perPiece),
                wanted,
                horizon,
                due);
    }

    @Test
    void withoutDoubtTheCourseIsTheHandWorkedOne() {
        // Flushes of 200 pieces on day 0, 60, 120: of each some 160 stand on day 31, 91, 151.
        BuildUp none = BuildUp.simulate(sure(2, 100, 400, 200, 151, 1), List.of());

        assertThat(none.middle()).contains(151);
        assertThat(none.early()).contains(151);
        assertThat(none.late()).contains(151);
        assertThat(none.inTime()).isGreaterThan(0.99);
        assertThat(none.course())
                .extracting(BuildUp.Point::day)
                .startsWith(0, 14, 28, 42)
                .endsWith(182, 196);
        assertThat(at(none, 28).middle()).isZero();
        assertThat(at(none, 42).middle()).isBetween(157, 163);
        assertThat(at(none, 98).middle()).isBetween(314, 326);
        assertThat(at(none, 42).ninetieth() - at(none, 42).tenth())
                .as("chance of 200 pieces: σ = √(200 · 0.8 · 0.2) = 5.7, with ρ 6.2, and ±1.28 of it")
                .isBetween(12, 19);
        assertThat(BuildUp.simulate(sure(2, 100, 400, 200, 150, 1), List.of()).inTime())
                .as("a day too late is late")
                .isLessThan(0.01);
    }

    @Test
    void fewPiecesAreDrawnOneByOneByTheSameLaw() {
        // 50 pieces a flush: some 40 stand of each.
        BuildUp none = BuildUp.simulate(sure(1, 50, 1000, 100, 100, 1), List.of());

        assertThat(at(none, 42).middle()).isBetween(39, 41);
        assertThat(at(none, 42).ninetieth() - at(none, 42).tenth())
                .as("σ = √(50 · 0.8 · 0.2) = 2.8")
                .isBetween(5, 9);
        assertThat(none.middle()).isEmpty();
        assertThat(none.inTime()).isLessThan(0.01);
        assertThat(at(BuildUp.simulate(sure(1, 50, 1000, 100, 100, 3), List.of()), 42)
                        .middle())
                .as("each makes three")
                .isBetween(117, 123);
    }

    @Test
    void nothingIsCutOrCountedBeyondTheHorizon() {
        BuildUp.Inputs known = known(1, 1000, 100);
        List<int[]> sold = BuildUp.run(known, List.of(), (pieces, generation) -> new int[] {pieces, 40});

        assertThat(sold)
                .as("what stands on the last day counts, what would stand after does not")
                .extracting(s -> s[0])
                .containsExactly(40, 100);
        assertThat(BuildUp.run(known(1, 1000, 99), List.of(), (pieces, generation) -> new int[] {pieces, 40}))
                .extracting(s -> s[0])
                .containsExactly(40);
        assertThat(BuildUp.run(known(1, 1000, 60), List.of(), (pieces, generation) -> new int[] {pieces, 0}))
                .as("and what may be cut on the last day is cut")
                .extracting(s -> s[0])
                .containsExactly(0, 60);
    }

    @Test
    void theWorkingHasTheFiguresOfAFlushAndOfAGeneration() {
        BuildUp.Inputs known = sure(2, 100, 400, 200, 151, 1.5);
        Working none = BuildUp.simulate(known, List.of()).working(known);

        assertThat(none.question().rule()).isEqualTo(BuildUp.Step.WHEN);
        assertThat(none.steps())
                .extracting(Statement::rule)
                .containsExactly(
                        BuildUp.Step.FLUSH, BuildUp.Step.FROM_CUT_TO_CUT, BuildUp.Step.KEEPING_NONE, BuildUp.Step.RUNS);
        assertThat(none.steps().get(0).number("rate")).isCloseTo(0.8 * 1.5, within(1e-9));
        assertThat(none.steps().get(0).number("plants")).isCloseTo(240, within(1e-6));
        assertThat(none.steps().get(1).number("ready")).isBetween(21.0, 21.2);
        assertThat(none.steps().get(1).number("whole"))
                .isCloseTo(none.steps().get(1).number("ready") + 10 + 20, within(1e-9));
        BuildUp.Inputs never = sure(1, 10, 1000, 60, 60, 1);
        Working kept = BuildUp.simulate(never, List.of(3)).working(never);
        assertThat(kept.steps().get(2)).isEqualTo(Statement.of(BuildUp.Step.KEEPING, "keeps", List.of(3)));
        assertThat(kept.steps().get(3))
                .isEqualTo(Statement.of(BuildUp.Step.RUNS_FALL_SHORT, "runs", 300, "horizon", 60));
    }

    @Test
    void stagesAfterReadyThinWhatComes() {
        BuildUp.Inputs all = sure(2, 100, 1000, 100, 100, 1);
        BuildUp.Inputs halved = new BuildUp.Inputs(
                all.stock(),
                new BuildUp.Inputs.ByWay(all.way().doubt(), List.of(new NextBatch(5e5, 5e5)), 10, 1),
                1000,
                100,
                100);

        assertThat(at(BuildUp.simulate(halved, List.of()), 42).middle()).isBetween(77, 83);
        assertThat(halved.rate()).isCloseTo(0.4, within(1e-9));
    }

    private static BuildUp.Point at(BuildUp b, int day) {
        return b.course().stream().filter(p -> p.day() == day).findFirst().orElseThrow();
    }

    private static BuildUp.Inputs known(int stock, int wanted, int horizon) {
        return new BuildUp.Inputs(
                new BuildUp.Inputs.Stock(stock, 10, 60, 20),
                new BuildUp.Inputs.ByWay(
                        new SharedDoubt(
                                new StrikeRate(8, 8, 0.1, 0.5, 4, List.of()), Times.of(new Window(15, 30), 0.2)),
                        List.of(),
                        10,
                        1),
                wanted,
                horizon,
                horizon);
    }

    @Test
    void anotherChoiceMustGainAWeekOrReachWhatIsNeverReached() {
        BuildUp day100 = choice(100, 50);

        assertThat(choice(93, 50).isBetterThan(day100)).isTrue();
        assertThat(choice(94, 50).isBetterThan(day100)).isFalse();
        assertThat(choice(100, 90).isBetterThan(day100)).isFalse();
        assertThat(choice(300, 50).isBetterThan(choice(-1, 90)))
                .as("reached at all")
                .isTrue();
        assertThat(choice(-1, 90).isBetterThan(day100)).isFalse();
        assertThat(choice(-1, 91).isBetterThan(choice(-1, 90)))
                .as("never reached: more by the end")
                .isTrue();
        assertThat(choice(-1, 90).isBetterThan(choice(-1, 90))).isFalse();
        assertThat(choice(-1, 89).isBetterThan(choice(-1, 90))).isFalse();
    }

    private static BuildUp choice(int middle, int inTheEnd) {
        Optional<Integer> day = middle < 0 ? Optional.empty() : Optional.of(middle);
        return new BuildUp(List.of(), day, day, day, List.of(new BuildUp.Point(0, 0, inTheEnd, 0)), 0.5);
    }

    @Test
    void numbersToKeepAreTimesTheStockUpToHalfOfWhatIsWanted() {
        assertThat(BuildUp.candidates(known(3, 400, 900), 3)).containsExactly(0, 3, 6, 12, 24, 48);
        assertThat(BuildUp.candidates(known(3, 40, 900), 3)).containsExactly(0, 3, 6, 12, 20);
        assertThat(BuildUp.candidates(known(3, 1, 900), 3)).containsExactly(0, 1);
    }

    @ParameterizedTest
    @CsvSource({"40, 0.3", "100, 0.3", "101, 0.3", "400, 0.85"})
    void successesAreBinomial(int pieces, double p) {
        RandomDataGenerator draws = new RandomDataGenerator(7);
        double sum = 0;
        double squares = 0;
        int runs = 4000;
        for (int i = 0; i < runs; i++) {
            int n = BuildUp.succeed(pieces, p, draws);
            assertThat(n).isBetween(0, pieces);
            sum += n;
            squares += (double) n * n;
        }
        double mean = sum / runs;
        double deviation = Math.sqrt(pieces * p * (1 - p));
        assertThat(mean).isCloseTo(pieces * p, within(4 * deviation / Math.sqrt(runs)));
        assertThat(Math.sqrt(squares / runs - mean * mean)).isCloseTo(deviation, within(0.06 * deviation));
        assertThat(BuildUp.succeed(pieces, 1, draws)).isEqualTo(pieces);
        assertThat(BuildUp.succeed(pieces, 0, draws)).isZero();
    }
}
