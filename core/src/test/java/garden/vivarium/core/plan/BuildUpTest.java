package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.Times;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.timing.Window;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
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
}
