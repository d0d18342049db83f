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

    /** Eighteen and twelve of 24: nine times in ten more than nothing by the interval, and still not told. */
    @Test
    void whatIsNotToldMayLean() {
        TrialResult leaning = TrialResult.of("perlite", "peat", List.of(new TrialResult.Tray("1", 18, 24, 12, 24)));
        assertThat(leaning.verdict()).isEqualTo(TrialResult.Verdict.OPEN);
        assertThat(leaning.difference().low()).isPositive();
        assertThat(leaning.says().figures()).containsEntry("leans", true);
        TrialResult open = TrialResult.of("perlite", "peat", List.of(new TrialResult.Tray("1", 14, 24, 12, 24)));
        assertThat(open.verdict()).isEqualTo(TrialResult.Verdict.OPEN);
        assertThat(open.says().figures()).containsEntry("leans", false);
    }

    @Test
    void chancesOfSeveralQuestionsAreRaisedByHolm() {
        assertThat(TrialReading.holm(new double[] {0.01, 0.04, 0.03}, 3))
                .containsExactly(new double[] {0.03, 0.06, 0.06}, within(1e-12));
        // A question without an answer yet was asked all the same.
        assertThat(TrialReading.holm(new double[] {0.02, 0.5}, 3))
                .containsExactly(new double[] {0.06, 1}, within(1e-12));
    }

    @Test
    void sizeOfThreeArmsSharesTheFiveInAHundredAmongThreePairs() {
        // By hand: z(1 − 0.05/6) = 2.393980, z(0.8) = 0.841621; (2.393980 √0.42 + 0.841621 √0.40)² ÷ 0.04.
        assertThat(TrialSize.within(0.6, 0.8, 3).exactly()).isCloseTo(108.552, within(0.01));
        assertThat(TrialSize.within(0.6, 0.8, 3).pieces()).isEqualTo(109);
        assertThat(TrialSize.within(0.6, 0.8, 2)).isEqualTo(TrialSize.within(0.6, 0.8));
        assertThat(TrialSize.shows(0.6, 108.552, 3)).isCloseTo(0.2, within(1e-3));
    }

    @Test
    void ofThreeArmsTheBestIsNamedWhereItStandsAboveBothOthers() {
        TrialReading best = reading(tray("1", 22, 11, 10, 24), tray("2", 23, 12, 13, 24));
        assertThat(best.verdict()).isEqualTo(TrialReading.Verdict.BEST);
        assertThat(best.best()).hasValue(0);
        assertThat(best.says().get(0).figures().get("best")).isEqualTo("perlite");
        assertThat(best.says().get(2).number("kept")).isEqualTo(23);
        assertThat(best.pairs())
                .filteredOn(TrialReading.Pair::isTold)
                .hasSize(2)
                .allSatisfy(p -> assertThat(p.low()).isPositive().isLessThan(p.high()));
        // Perlite is above peat, and sand between them is told from neither.
        TrialReading some = reading(tray("1", 22, 11, 17, 24), tray("2", 21, 12, 17, 24));
        assertThat(some.verdict()).isEqualTo(TrialReading.Verdict.SOME);
        assertThat(some.best()).isEmpty();
        assertThat(some.says().get(0).figures().get("best")).isEqualTo("perlite");
        assertThat(some.says().get(0).figures().get("worse")).isEqualTo("peat");
        assertThat(some.pairs()).noneMatch(TrialReading.Pair::isLevel);
        // Ten of each of the first two: neither gave more, whatever the third did.
        assertThat(reading(tray("1", 10, 10, 3, 24)).pairs())
                .extracting(TrialReading.Pair::isLevel)
                .containsExactly(true, false, false);
        assertThat(reading(tray("1", 12, 11, 10, 24)).verdict()).isEqualTo(TrialReading.Verdict.OPEN);
        assertThat(reading(tray("1", 465, 470, 460, 500)).verdict()).isEqualTo(TrialReading.Verdict.ALIKE);
        assertThatThrownBy(() -> reading(new TrialReading.Tray("1", List.of(3, 0, 0), List.of(4, 0, 0))))
                .hasMessageContaining("no tray");
    }

    @Test
    void twoArmsAreReadAsTheyAlwaysWere() {
        TrialReading two = TrialReading.of(
                List.of("perlite", "peat"),
                List.of(
                        new TrialReading.Tray("1", List.of(20, 11), List.of(24, 24)),
                        new TrialReading.Tray("2", List.of(19, 12), List.of(24, 24))));
        TrialResult alone = TrialResult.of(
                "perlite",
                "peat",
                List.of(new TrialResult.Tray("1", 20, 24, 11, 24), new TrialResult.Tray("2", 19, 24, 12, 24)));
        assertThat(two.says()).containsExactly(alone.says());
        assertThat(two.pairs().get(0).chance()).isEqualTo(alone.exact().p());
        assertThat(two.best()).hasValue(0);
    }

    private static TrialReading reading(TrialReading.Tray... trays) {
        return TrialReading.of(List.of("perlite", "peat", "sand"), List.of(trays));
    }

    private static TrialReading.Tray tray(String name, int perlite, int peat, int sand, int of) {
        return new TrialReading.Tray(name, List.of(perlite, peat, sand), List.of(of, of, of));
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
