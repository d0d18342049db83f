package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AbsenceTest {

    private static final LocalDate TENTH = LocalDate.of(2026, 6, 10);
    private static final Absence AWAY = new Absence(TENTH, TENTH.plusDays(10));

    @ParameterizedTest
    @CsvSource({
        "-3, , BEFORE",
        "-1, 4, BEFORE",
        "2, , WAITS",
        "2, 9, SUFFERS",
        "2, 10, WAITS",
        "0, 0, SUFFERS",
        "9, , WAITS",
        "10, , AFTER",
        "10, 12, AFTER",
    })
    void whatFallsWhenMeansWhat(int possible, Integer harms, Absence.Meaning meaning) {
        assertThat(AWAY.judge(
                        TENTH.plusDays(possible), Optional.ofNullable(harms).map(TENTH::plusDays)))
                .isEqualTo(meaning);
    }

    @Test
    void theDayOfReturnIsThere() {
        assertThat(AWAY.covers(TENTH)).isTrue();
        assertThat(AWAY.covers(TENTH.plusDays(9))).isTrue();
        assertThat(AWAY.covers(TENTH.plusDays(10))).isFalse();
    }

    @Test
    void nobodyIsBackBeforeLeavingOrAwayForEver() {
        assertThatThrownBy(() -> new Absence(TENTH, TENTH)).hasMessageContaining("later day");
        assertThatThrownBy(() -> new Absence(TENTH, TENTH.plusDays(121))).hasMessageContaining("120 days");
    }
}
