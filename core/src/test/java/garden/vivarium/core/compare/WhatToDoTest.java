package garden.vivarium.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What to do differently, where the truth was planted. */
class WhatToDoTest {

    private static final double RHO = 0.08;
    private static final LocalDate LATE = LocalDate.of(2030, 5, 20);

    @Test
    void plantedDifferenceIsSaidWithWhatItIsWorth() {
        List<FinishedBatch> all = new PlantedBatches(11, RHO)
                .add(10, "Fuchsia", 0.88, 40, Factor.MEDIUM, "perlite")
                .add(10, "Fuchsia", 0.4, 40, Factor.MEDIUM, "peat")
                .all();
        LocalDate day = all.get(19).overOn().plusMonths(3);
        WhatToDo said = WhatToDo.of(all, RHO, day);
        assertThat(said.asOf()).isEqualTo(WhatToDo.quarter(day));
        assertThat(said.sentences()).singleElement().satisfies(s -> {
            assertThat(s.kind()).isEqualTo(WhatToDo.Kind.BETTER);
            assertThat(s.plant()).isEqualTo("Fuchsia");
            assertThat(s.says().figures()).containsEntry("better", "perlite").containsEntry("worse", "peat");
            assertThat(s.gain()).isGreaterThan(50).isLessThan(0.6 * 400);
        });
    }

    @Test
    void whatIsGoodForOnePlantIsNotAdvisedForOthers() {
        List<FinishedBatch> all = new PlantedBatches(21, RHO)
                .add(10, "Fuchsia", 0.88, 40, Factor.HORMONE, "hormone 0.3%")
                .add(10, "Fuchsia", 0.4, 40, Factor.HORMONE, "no hormone")
                .add(10, "Lilium", 0.6, 40, Factor.HORMONE, "no hormone")
                .all();
        assertThat(WhatToDo.of(all, RHO, LATE).sentences())
                .singleElement()
                .satisfies(s -> assertThat(s.plant()).isEqualTo("Fuchsia"));
    }

    @Test
    void theSameFindingOfTwoPlantsIsSaidOfBoth() {
        List<FinishedBatch> all = new PlantedBatches(22, RHO)
                .add(10, "Fuchsia", 0.88, 40, Factor.MEDIUM, "perlite")
                .add(10, "Fuchsia", 0.4, 40, Factor.MEDIUM, "peat")
                .add(10, "Salvia", 0.85, 40, Factor.MEDIUM, "perlite")
                .add(10, "Salvia", 0.35, 40, Factor.MEDIUM, "peat")
                .all();
        assertThat(WhatToDo.of(all, RHO, LATE).sentences())
                .extracting(WhatToDo.Sentence::plant)
                .containsExactlyInAnyOrder("Fuchsia", "Salvia");
    }

    @Test
    void onlyWhatWasOverWhenTheQuarterBeganCounts() {
        List<FinishedBatch> all = new PlantedBatches(11, RHO)
                .add(10, "Fuchsia", 0.88, 40, Factor.MEDIUM, "perlite")
                .add(10, "Fuchsia", 0.4, 40, Factor.MEDIUM, "peat")
                .all();
        assertThat(WhatToDo.of(all, RHO, LocalDate.of(2025, 2, 10)).sentences()).isEmpty();
        assertThat(WhatToDo.quarter(LocalDate.of(2026, 6, 30))).isEqualTo(LocalDate.of(2026, 4, 1));
        assertThat(WhatToDo.quarter(LocalDate.of(2026, 12, 1))).isEqualTo(LocalDate.of(2026, 10, 1));
    }

    @Test
    void whatCameAlongIsNeverAdvised() {
        List<FinishedBatch> all = new PlantedBatches(12, RHO)
                .add(10, "Fuchsia", 0.88, 40, Factor.MEDIUM, "perlite", Factor.PLACE, "mist bench")
                .add(10, "Fuchsia", 0.4, 40, Factor.MEDIUM, "peat", Factor.PLACE, "shed")
                .all();
        assertThat(WhatToDo.of(all, RHO, LATE).sentences()).isEmpty();
    }

    @Test
    void treatmentThatChangesNothingIsCalledNeedless() {
        List<FinishedBatch> all = new PlantedBatches(13, 0.01)
                .add(30, "Salvia", 0.9, 100, Factor.HORMONE, "hormone 0.3%")
                .add(30, "Salvia", 0.9, 100, Factor.HORMONE, "no hormone")
                .all();
        assertThat(WhatToDo.of(all, 0.01, LATE).sentences()).isEmpty();
        assertThat(WhatToDo.of(all, 0.01, LATE).needless()).singleElement().satisfies(s -> {
            assertThat(s.kind()).isEqualTo(WhatToDo.Kind.NEEDLESS);
            assertThat(s.says().figures()).containsEntry("what", "hormone 0.3%");
        });
    }

    @Test
    void looksThatComeTooLateAreSaid() {
        List<FinishedBatch> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            FinishedBatch b = new PlantedBatches(14 + i, RHO)
                    .add(1, "Coleus", 0.9, 20)
                    .all()
                    .get(0);
            all.add(new FinishedBatch(
                    "c" + i,
                    b.plant(),
                    b.method(),
                    b.stuckOn(),
                    b.overOn(),
                    b.count(),
                    Tallies.of(Map.of(Interval.reached(0, 30), 18L, Interval.lost(0, 30), 2L)),
                    Map.of()));
        }
        assertThat(WhatToDo.of(all, RHO, LATE).sentences()).singleElement().satisfies(s -> {
            assertThat(s.kind()).isEqualTo(WhatToDo.Kind.LOOK_EARLIER);
            assertThat(s.says().number("day")).isEqualTo(30);
            assertThat(s.says().number("earlier")).isEqualTo(20);
        });
    }

    @Test
    void nothingYetSaysWhatWouldTell() {
        List<FinishedBatch> all = new PlantedBatches(15, RHO)
                .add(3, "Fuchsia", 0.75, 24, Factor.MEDIUM, "perlite")
                .add(3, "Fuchsia", 0.6, 24, Factor.MEDIUM, "peat")
                .all();
        WhatToDo said = WhatToDo.of(all, RHO, LATE);
        assertThat(said.sentences()).isEmpty();
        assertThat(said.nextQuestion()).hasValueSatisfying(o -> {
            assertThat(o.plant()).isEqualTo("Fuchsia");
            assertThat(o.batches()).isGreaterThan(1);
        });
        assertThat(WhatToDo.of(List.of(), RHO, LATE).nextQuestion()).isEmpty();
    }

    @Test
    void whereNothingDiffersHardlyAnythingIsSaid() {
        int said = 0;
        int lives = 200;
        for (int life = 0; life < lives; life++) {
            PlantedBatches made = new PlantedBatches(5000 + life, RHO);
            for (String plant : List.of("Fuchsia", "Salvia", "Penstemon")) {
                for (String medium : List.of("perlite", "peat")) {
                    for (String hormone : List.of("no hormone", "hormone 0.3%")) {
                        made.add(4, plant, 0.7, 30, Factor.MEDIUM, medium, Factor.HORMONE, hormone);
                    }
                }
            }
            said += WhatToDo.of(made.all(), RHO, LATE).sentences().isEmpty() ? 0 : 1;
        }
        // 5% and two standard errors.
        assertThat((double) said / lives).isLessThan(0.05 + 2 * 0.0155);
    }
}
