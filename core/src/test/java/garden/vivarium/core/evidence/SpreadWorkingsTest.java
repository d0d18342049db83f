package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Statement;
import garden.vivarium.core.Working;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What the margin shows of how much batches differ. */
class SpreadWorkingsTest {

    @Test
    void aTrayIsSaidInPiecesThatAreIndependent() {
        Working working = new Overdispersion(0.1, 7).working();

        assertThat(working.question().rule()).isEqualTo(Overdispersion.Step.HOW_MUCH);
        assertThat(working.steps().get(0)).isEqualTo(Statement.of(Overdispersion.Step.RHO, "batches", 7, "rho", 0.1));
        assertThat(working.steps().get(1).number("tray")).isEqualTo(40);
        assertThat(working.steps().get(1).number("pieces"))
                .as("40 ÷ (1 + 39 × 0.1)")
                .isCloseTo(8.163265, within(1e-6));
    }

    @Test
    void theSpreadOfSpeedsNamesItsBatches() {
        Working working = new SpeedSpread(0.25, 3).working();

        assertThat(working.question().rule()).isEqualTo(SpeedSpread.Step.HOW_MUCH);
        assertThat(working.steps()).containsExactly(Statement.of(SpeedSpread.Step.TAU, "batches", 3, "tau", 0.25));
    }

    @Test
    void batchesThatDifferByChanceAloneLeaveTheSpreadSmallAndOthersDoNot() {
        List<int[]> alike = List.of(new int[] {14, 20}, new int[] {13, 20}, new int[] {15, 20}, new int[] {14, 20});
        List<int[]> apart = List.of(new int[] {2, 20}, new int[] {19, 20}, new int[] {20, 20}, new int[] {5, 20});
        double usual = Overdispersion.estimate(List.of()).rho();
        double small = Overdispersion.estimate(List.of(new Overdispersion.WayCounts(0.7, alike)))
                .rho();
        double large = Overdispersion.estimate(List.of(new Overdispersion.WayCounts(0.7, apart)))
                .rho();

        assertThat(small).isLessThan(usual);
        assertThat(large).isGreaterThan(usual).isGreaterThan(0.2);
        assertThat(Overdispersion.estimate(List.of(new Overdispersion.WayCounts(0.7, apart)))
                        .batches())
                .isEqualTo(4);
    }
}
