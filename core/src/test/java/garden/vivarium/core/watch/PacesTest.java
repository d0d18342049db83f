package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.watch.Paces.Pace;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PacesTest {

    /** A window of 8 days; the other of 20: two days in common are a quarter of the shorter, one is less. */
    @ParameterizedTest
    @CsvSource({"2026-06-07, false", "2026-06-08, true", "2026-06-01, false", "2026-07-01, true"})
    void hardlyAnyTimeInCommonIsLessThanAQuarterOfTheShorterWindow(LocalDate otherFrom, boolean apart) {
        Pace one = new Pace("26w20-A", LocalDate.parse("2026-06-01"), LocalDate.parse("2026-06-08"));
        Pace other = new Pace("26w20-B", otherFrom, otherFrom.plusDays(19));

        assertThat(Paces.apart(one, other).isPresent()).isEqualTo(apart);
        assertThat(Paces.apart(other, one)).isEqualTo(Paces.apart(one, other));
    }

    @Test
    void theSoonerIsSaidFirst() {
        Pace late = new Pace("26w20-A", LocalDate.parse("2026-08-01"), LocalDate.parse("2026-08-20"));
        Pace soon = new Pace("26w20-B", LocalDate.parse("2026-06-01"), LocalDate.parse("2026-06-08"));

        assertThat(Paces.apart(late, soon).orElseThrow().figures().get("first")).isEqualTo("26w20-B");
        assertThatThrownBy(() -> new Pace("x", LocalDate.parse("2026-06-02"), LocalDate.parse("2026-06-01")))
                .hasMessageContaining("not to");
    }
}
