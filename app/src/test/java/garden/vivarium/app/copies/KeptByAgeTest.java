package garden.vivarium.app.copies;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Seven days, five weeks, twelve months. */
class KeptByAgeTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 15);

    @Test
    void afterTwoYearsOfNightsTheLatestOfEachAgeIsThere() {
        Set<LocalDate> kept = new HashSet<>();
        for (LocalDate day = TODAY.minusYears(2); !day.isAfter(TODAY); day = day.plusDays(1)) {
            kept.add(day);
            kept = KeptByAge.of(kept, day);
        }
        assertThat(kept).contains(TODAY, TODAY.minusDays(6));
        assertThat(kept.stream().filter(d -> d.isAfter(TODAY.minusDays(7)))).hasSize(7);
        // Sundays end the weeks before this one.
        assertThat(kept)
                .contains(
                        LocalDate.of(2026, 6, 7),
                        LocalDate.of(2026, 5, 31),
                        LocalDate.of(2026, 5, 24),
                        LocalDate.of(2026, 5, 17));
        assertThat(kept)
                .contains(
                        LocalDate.of(2026, 4, 30),
                        LocalDate.of(2026, 1, 31),
                        LocalDate.of(2025, 12, 31),
                        LocalDate.of(2025, 6, 30));
        assertThat(kept).hasSizeBetween(20, 24);
        assertThat(kept).as("nothing is older than a year").allMatch(d -> d.isAfter(TODAY.minusMonths(12)));
    }

    @Test
    void aGapLosesNothingAndAClockThatWentBackNeither() {
        List<LocalDate> days = List.of(TODAY.minusDays(20), TODAY.minusDays(19), TODAY.plusDays(3));
        assertThat(KeptByAge.of(days, TODAY)).containsExactlyInAnyOrder(TODAY.minusDays(19), TODAY.plusDays(3));
        assertThat(KeptByAge.of(Stream.<LocalDate>of().toList(), TODAY)).isEmpty();
    }
}
