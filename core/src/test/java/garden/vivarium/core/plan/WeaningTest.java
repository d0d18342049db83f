package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.plan.Weaning.Due;
import garden.vivarium.core.plan.Weaning.Reason;
import garden.vivarium.core.plan.Weaning.Step;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WeaningTest {

    private static final LocalDate MOVED = LocalDate.parse("2026-06-01");

    @Test
    void theCoverIsOpenedInThreeSteps() {
        Due first = Weaning.next(MOVED, 0, Optional.empty(), Optional.empty()).orElseThrow();
        assertThat(first.step()).isEqualTo(Step.AJAR);
        assertThat(first.due()).isEqualTo("2026-06-03");

        Due second = Weaning.next(MOVED, 1, Optional.of(MOVED.plusDays(2)), Optional.empty())
                .orElseThrow();
        assertThat(second.step()).isEqualTo(Step.HALF);
        assertThat(second.due()).isEqualTo("2026-06-06");

        assertThat(Weaning.next(MOVED, 3, Optional.of(MOVED.plusDays(9)), Optional.empty()))
                .isEmpty();
    }

    @Test
    void aStepTakenLatePutsTheNextOff() {
        Due third = Weaning.next(MOVED, 2, Optional.of(MOVED.plusDays(12)), Optional.empty())
                .orElseThrow();

        assertThat(third.due()).as("four days after the second").isEqualTo("2026-06-17");
    }

    @Test
    void whereLeavesHangItWaits() {
        Due second = Weaning.next(MOVED, 1, Optional.of(MOVED.plusDays(2)), Optional.of(MOVED.plusDays(5)))
                .orElseThrow();

        assertThat(second.due()).isEqualTo("2026-06-09");
        assertThat(second.why().rule()).isEqualTo(Reason.HUNG);
        Due later = Weaning.next(MOVED, 1, Optional.of(MOVED.plusDays(2)), Optional.of(MOVED.plusDays(1)))
                .orElseThrow();
        assertThat(later.why().rule()).isEqualTo(Reason.HARDENS);
    }

    @ParameterizedTest
    @CsvSource({
        "lid ajar, true",
        "none; shade for a week, false",
        "closed case, true",
        "cold frame, false",
        "a clear bag or box, true",
        "a cool dark shed, false",
        "none or a loose lid, false"
    })
    void aLidOrABagIsHumidAndNoneIsNot(String cover, boolean humid) {
        assertThat(Weaning.isHumid(cover)).isEqualTo(humid);
    }

    @Test
    void coverOverWhatRootsStillIsOpenedWhenSevenInTenAreRooted() {
        LocalDate ready = LocalDate.of(2026, 5, 1);
        assertThat(Weaning.beforePotting(6, 10, ready, 0, Optional.empty())).isEmpty();
        assertThat(Weaning.beforePotting(0, 0, ready, 0, Optional.empty())).isEmpty();
        assertThat(Weaning.beforePotting(7, 10, ready, 0, Optional.empty())).hasValueSatisfying(d -> {
            assertThat(d.step()).isEqualTo(Weaning.Step.AJAR);
            assertThat(d.due()).isEqualTo(ready.plusDays(2));
            assertThat(d.why().rule()).isEqualTo(Weaning.Reason.ROOTED);
        });
        assertThat(Weaning.beforePotting(7, 10, ready, 3, Optional.of(ready.plusDays(9))))
                .isEmpty();
    }
}
