package garden.vivarium.core.stock;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.Statement;
import garden.vivarium.core.stock.Quarantine.Pest;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class QuarantineTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

    @Test
    void mealybugIsTreatedThreeTimesTenDaysApart() {
        Quarantine q = new Quarantine(Pest.MEALYBUG, DAY);
        assertThat(q.treatments()).containsExactly(DAY, DAY.plusDays(10), DAY.plusDays(20));
        assertThat(q.ends()).isEqualTo(DAY.plusDays(30));
        assertThat(q.why())
                .isEqualTo(Statement.of(Quarantine.Step.COURSE, "pest", Pest.MEALYBUG, "times", 3, "every", 10));
    }

    @ParameterizedTest
    @EnumSource(Pest.class)
    void everyQuarantineOutlastsItsLastTreatment(Pest pest) {
        Quarantine q = new Quarantine(pest, DAY);
        assertThat(q.treatments()).hasSize(pest.times()).isSorted();
        assertThat(q.ends()).isEqualTo(q.treatments().get(pest.times() - 1).plusDays(pest.everyDays()));
    }
}
