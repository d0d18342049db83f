package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.compare.Comparison.Asked;
import garden.vivarium.core.compare.Comparison.Verdict;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What made the difference, where the truth was planted. */
class ComparisonTest {

    private static final double RHO = 0.08;
    private static final Asked MEDIUM = new Asked(Factor.MEDIUM, "perlite", "peat");

    @Test
    void plantedDifferenceIsFoundWithItsSize() {
        List<FinishedBatch> all = new PlantedBatches(3, RHO)
                .add(8, "Fuchsia", 0.85, 40, Factor.MEDIUM, "perlite", Factor.SEASON, "spring")
                .add(8, "Fuchsia", 0.5, 40, Factor.MEDIUM, "peat", Factor.SEASON, "spring")
                .all();
        Comparison c = Comparison.of(MEDIUM, all, RHO);
        assertThat(c.verdict()).isEqualTo(Verdict.FIRST);
        assertThat(c.difference()).hasValueSatisfying(d -> assertThat(d.mean()).isBetween(0.2, 0.5));
        assertThat(c.others()).isEmpty();
        assertThat(c.wouldTell(RHO)).isEmpty();
        // Asked the other way round it is the second.
        assertThat(Comparison.of(new Asked(Factor.MEDIUM, "peat", "perlite"), all, RHO)
                        .verdict())
                .isEqualTo(Verdict.SECOND);
    }

    @Test
    void whatCameAlongIsNamedAndNothingIsCalledBetter() {
        // Perlite was used in spring, peat in autumn; only the season bears on it.
        List<FinishedBatch> all = new PlantedBatches(4, RHO)
                .add(8, "Fuchsia", 0.85, 40, Factor.MEDIUM, "perlite", Factor.SEASON, "spring")
                .add(8, "Fuchsia", 0.45, 40, Factor.MEDIUM, "peat", Factor.SEASON, "autumn")
                .all();
        Comparison c = Comparison.of(MEDIUM, all, RHO);
        assertThat(c.difference())
                .hasValueSatisfying(d -> assertThat(d.isBetter()).isTrue());
        assertThat(c.verdict()).isEqualTo(Verdict.MIXED);
        assertThat(c.explains()).hasValueSatisfying(o -> {
            assertThat(o.factor()).isEqualTo(Factor.SEASON);
            assertThat(o.share()).isEqualTo(1);
            assertThat(o.usualFirst()).isEqualTo("spring");
            assertThat(o.allowedFor()).isEmpty();
        });
    }

    @Test
    void whatCameAlongInPartIsAllowedForAndTheDifferenceMayStand() {
        List<FinishedBatch> all = new PlantedBatches(5, RHO)
                .add(8, "Fuchsia", 0.9, 40, Factor.MEDIUM, "perlite", Factor.SEASON, "spring")
                .add(4, "Fuchsia", 0.75, 40, Factor.MEDIUM, "perlite", Factor.SEASON, "autumn")
                .add(4, "Fuchsia", 0.5, 40, Factor.MEDIUM, "peat", Factor.SEASON, "spring")
                .add(8, "Fuchsia", 0.35, 40, Factor.MEDIUM, "peat", Factor.SEASON, "autumn")
                .all();
        Comparison c = Comparison.of(MEDIUM, all, RHO);
        assertThat(c.verdict()).isEqualTo(Verdict.FIRST);
        assertThat(c.others()).singleElement().satisfies(o -> {
            assertThat(o.factor()).isEqualTo(Factor.SEASON);
            assertThat(o.allowedFor())
                    .hasValueSatisfying(d -> assertThat(d.isBetter()).isTrue());
        });
    }

    @Test
    void plantedNothingIsCalledNothing() {
        List<FinishedBatch> few = new PlantedBatches(6, RHO)
                .add(3, "Fuchsia", 0.7, 24, Factor.MEDIUM, "perlite")
                .add(3, "Fuchsia", 0.7, 24, Factor.MEDIUM, "peat")
                .all();
        Comparison c = Comparison.of(MEDIUM, few, RHO);
        assertThat(c.verdict()).isEqualTo(Verdict.TOO_LITTLE);
        assertThat(c.wouldTell(RHO).getAsInt()).isGreaterThan(3);
        List<FinishedBatch> many = new PlantedBatches(7, RHO)
                .add(60, "Fuchsia", 0.7, 40, Factor.MEDIUM, "perlite")
                .add(60, "Fuchsia", 0.7, 40, Factor.MEDIUM, "peat")
                .all();
        assertThat(Comparison.of(MEDIUM, many, RHO).verdict()).isEqualTo(Verdict.ALIKE);
    }

    @Test
    void differentPlantsAreNotSetAgainstEachOther() {
        List<FinishedBatch> all = new PlantedBatches(8, RHO)
                .add(8, "Fuchsia", 0.9, 40, Factor.MEDIUM, "perlite")
                .add(8, "Camellia", 0.4, 40, Factor.MEDIUM, "peat")
                .all();
        Comparison c = Comparison.of(MEDIUM, all, RHO);
        assertThat(c.verdict()).isEqualTo(Verdict.TOO_LITTLE);
        assertThat(c.difference()).isEmpty();
        assertThat(c.first().left()).isEqualTo(8);
        assertThat(c.first().batches()).isZero();
    }

    @Test
    void overSeveralPlantsEachCarriesItsPart() {
        List<FinishedBatch> all = new PlantedBatches(9, RHO)
                .add(4, "Fuchsia", 0.9, 40, Factor.MEDIUM, "perlite")
                .add(4, "Fuchsia", 0.65, 40, Factor.MEDIUM, "peat")
                .add(4, "Camellia", 0.55, 40, Factor.MEDIUM, "perlite")
                .add(4, "Camellia", 0.25, 40, Factor.MEDIUM, "peat")
                .add(2, "Salvia", 0.9, 40, Factor.MEDIUM, "peat")
                .all();
        Comparison c = Comparison.of(MEDIUM, all, RHO);
        assertThat(c.strata())
                .extracting(Strata.Table::name)
                .containsExactly("Camellia, tip cutting", "Fuchsia, tip cutting");
        assertThat(c.verdict()).isEqualTo(Verdict.FIRST);
        assertThat(c.second().left()).isEqualTo(2);
        assertThat(Comparison.tried(Factor.MEDIUM, all))
                .extracting(Comparison.Tried::value)
                .containsExactly("peat", "perlite");
    }

    @Test
    void withNoDifferenceBetterIsSeldomSaid() {
        for (int batches : new int[] {2, 4, 8}) {
            int better = 0;
            int runs = 400;
            for (int r = 0; r < runs; r++) {
                List<FinishedBatch> all = new PlantedBatches(1000L * batches + r, RHO)
                        .add(batches, "Fuchsia", 0.7, 30, Factor.MEDIUM, "perlite")
                        .add(batches, "Fuchsia", 0.7, 30, Factor.MEDIUM, "peat")
                        .add(batches, "Salvia", 0.5, 30, Factor.MEDIUM, "perlite")
                        .add(batches, "Salvia", 0.5, 30, Factor.MEDIUM, "peat")
                        .all();
                better += Comparison.of(MEDIUM, all, RHO).verdict() == Verdict.FIRST ? 1 : 0;
            }
            // 5% and two standard errors of it.
            assertThat((double) better / runs).as("%d batches an arm", batches).isLessThan(0.05 + 2 * 0.011);
        }
    }
}
