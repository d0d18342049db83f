package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Trials: laid out by lot in blocks, and read as they were laid out. */
class TrialTest {

    @Test
    void everyBlockHasOneOfEachAndTheSameSeedGivesTheSame() {
        Random random = new Random(5);
        for (int i = 0; i < 200; i++) {
            int arms = 2 + random.nextInt(3);
            int perArm = 1 + random.nextInt(150);
            int rows = 2 + random.nextInt(8);
            int columns = 2 + random.nextInt(12);
            long seed = random.nextLong();
            TrialLayout layout = TrialLayout.draw(arms, perArm, rows, columns, seed);
            assertThat(layout).isEqualTo(TrialLayout.draw(arms, perArm, rows, columns, seed));
            int[] of = new int[arms];
            for (int t = 0; t < layout.trays().size(); t++) {
                List<Integer> pieces = layout.armsOfPieces(t);
                assertThat(layout.trays().get(t)).hasSize(rows * columns);
                assertThat(pieces).hasSize(layout.pieces(t));
                for (int b = 0; b < pieces.size(); b += arms) {
                    assertThat(pieces.subList(b, b + arms)).doesNotHaveDuplicates();
                }
                pieces.forEach(a -> of[a]++);
            }
            for (int n : of) {
                assertThat(n).isEqualTo(perArm);
            }
        }
        assertThat(TrialLayout.draw(2, 36, 6, 12, 1)).isNotEqualTo(TrialLayout.draw(2, 36, 6, 12, 2));
        assertThatThrownBy(() -> TrialLayout.draw(1, 36, 6, 12, 1)).hasMessageContaining("2 to 4 arms");
        assertThatThrownBy(() -> TrialLayout.draw(4, 1, 1, 3, 1)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void plantedDifferenceIsToldAndPlantedNothingIsNot() {
        assertThat(read(0.85, 0.5, 4, 36, 9).verdict()).isEqualTo(TrialResult.Verdict.FIRST);
        assertThat(read(0.5, 0.85, 4, 36, 9).verdict()).isEqualTo(TrialResult.Verdict.SECOND);
        int told = 0;
        int runs = 500;
        for (int r = 0; r < runs; r++) {
            TrialResult.Verdict v = read(0.7, 0.7, 3, 24, 100 + r).verdict();
            told += v == TrialResult.Verdict.FIRST || v == TrialResult.Verdict.SECOND ? 1 : 0;
        }
        // Two-sided 5%, and two standard errors; an exact test is below it.
        assertThat((double) told / runs).isLessThan(0.05 + 2 * 0.0098);
        assertThatThrownBy(() -> TrialResult.of("a", "b", List.of(new TrialResult.Tray("one", 3, 4, 0, 0))))
                .hasMessageContaining("no tray");
    }

    @Test
    void trayThatDoesBadlyAsAWholeIsNoReasonAgainstAnArm() {
        // In one tray nearly all fail, in the other nearly all strike; the arms are alike in each.
        TrialResult r = TrialResult.of(
                "perlite",
                "peat",
                List.of(new TrialResult.Tray("1", 34, 36, 33, 36), new TrialResult.Tray("2", 3, 36, 4, 36)));
        assertThat(r.exact().p()).isGreaterThan(0.5);
        assertThat(r.difference().mean()).isCloseTo(0, within(0.02));
        assertThat(r.verdict()).isEqualTo(TrialResult.Verdict.ALIKE);
        assertThat(r.says().number("keptA")).isEqualTo(37);
    }

    private static TrialResult read(double first, double second, int trays, int perArm, long seed) {
        Random random = new Random(seed);
        List<TrialResult.Tray> seen = new ArrayList<>();
        for (int t = 0; t < trays; t++) {
            int a = 0;
            int b = 0;
            for (int i = 0; i < perArm; i++) {
                a += random.nextDouble() < first ? 1 : 0;
                b += random.nextDouble() < second ? 1 : 0;
            }
            seen.add(new TrialResult.Tray(String.valueOf(t), a, perArm, b, perArm));
        }
        return TrialResult.of("perlite", "peat", seen);
    }
}
