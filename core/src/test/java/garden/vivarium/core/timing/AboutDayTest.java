package garden.vivarium.core.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class AboutDayTest {

    /** A Monday. */
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 15);

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "today|2026-06-15|2026-06-15",
                "Yesterday|2026-06-14|2026-06-14",
                "3 days ago|2026-06-12|2026-06-12",
                "10 days ago|2026-06-04|2026-06-06",
                "40d|2026-05-02|2026-05-10",
                "3 weeks ago|2026-05-22|2026-05-28",
                "3w|2026-05-22|2026-05-28",
                "two weeks ago|2026-05-29|2026-06-04",
                "a week ago|2026-06-05|2026-06-11",
                "about 10 weeks ago|2026-03-30|2026-04-13",
                "2 months ago|2026-03-31|2026-04-30",
                "a month ago|2026-04-30|2026-05-30",
                "this week|2026-06-15|2026-06-15",
                "last week|2026-06-08|2026-06-14",
                "last month|2026-05-01|2026-05-31",
                "June|2026-06-01|2026-06-15",
                "May|2026-05-01|2026-05-31",
                "Nov|2025-11-01|2025-11-30",
                "sept 2024|2024-09-01|2024-09-30",
                "early May|2026-05-01|2026-05-10",
                "mid-May|2026-05-11|2026-05-20",
                "end of February 2024|2024-02-21|2024-02-29",
                "wk 23|2026-06-01|2026-06-07",
                "week 50|2025-12-08|2025-12-14",
                "wk 1 2026|2025-12-29|2026-01-04",
                "12 April|2026-04-12|2026-04-12",
                "12th of April 2025|2025-04-12|2025-04-12",
                "Apr 12, 2025|2025-04-12|2025-04-12",
                "20 Dec|2025-12-20|2025-12-20",
                "2026-04-12|2026-04-12|2026-04-12",
                "13/4/2026|2026-04-13|2026-04-13",
                "4/13/2026|2026-04-13|2026-04-13",
                "5.5.26|2026-05-05|2026-05-05"
            })
    void whatPeopleSayIsASpan(String words, LocalDate from, LocalDate to) {
        assertThat(AboutDay.read(words, TODAY)).contains(new AboutDay(from, to));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "soon",
                "many weeks ago",
                "2026-07-01",
                "July 2026",
                "4/5/2026",
                "31 June",
                "wk 60",
                "12",
                "99/99/2026"
            })
    void whatSaysNoDayThatHasComeIsNotRead(String words) {
        assertThat(AboutDay.read(words, TODAY)).isEmpty();
    }

    @Test
    void itsMiddleAndHowUnsureItIs() {
        AboutDay june = AboutDay.read("June", TODAY).orElseThrow();
        assertThat(june.middle()).isEqualTo(LocalDate.of(2026, 6, 8));
        assertThat(june.giveOrTake()).isEqualTo(7);
        assertThat(AboutDay.of(TODAY).giveOrTake()).isZero();
        AboutDay two = new AboutDay(TODAY.minusDays(1), TODAY);
        assertThat(two.middle()).isEqualTo(TODAY.minusDays(1));
        assertThat(two.giveOrTake()).as("no day of the span is left out").isEqualTo(1);
        assertThatThrownBy(() -> new AboutDay(TODAY, TODAY.minusDays(1))).isInstanceOf(IllegalArgumentException.class);
    }

    @ParameterizedTest(name = "{0} {1} {2}")
    @CsvFileSource(resources = "/words/days.csv", useHeadersInDisplayName = false, numLinesToSkip = 1)
    void aDayInANotebookIsReadByTheHabitsOfItsWriter(
            String typed, DayOrder order, Integer year, LocalDate from, LocalDate to) {
        LocalDate today = LocalDate.of(2026, 11, 26);

        assertThat(AboutDay.written(
                        typed,
                        Optional.ofNullable(order),
                        year == null ? OptionalInt.empty() : OptionalInt.of(year),
                        today))
                .isEqualTo(Optional.ofNullable(from).map(f -> new AboutDay(f, to)));
    }

    @Test
    void whatMayBeTwoDaysOrOfAnyYearSaysSo() {
        assertThat(AboutDay.needsOrder("12/4/2024")).isTrue();
        assertThat(AboutDay.needsOrder("12/4")).isTrue();
        assertThat(AboutDay.needsOrder("25/4/2024")).isFalse();
        assertThat(AboutDay.needsOrder("4/4/2024")).isFalse();
        assertThat(AboutDay.needsOrder("2024-04-12")).isFalse();
        assertThat(AboutDay.needsYear("wk 23")).isTrue();
        assertThat(AboutDay.needsYear("12 April")).isTrue();
        assertThat(AboutDay.needsYear("12/4")).isTrue();
        assertThat(AboutDay.needsYear("June 2025")).isFalse();
        assertThat(AboutDay.needsYear("12/4/24")).isFalse();
        assertThat(AboutDay.needsYear("bark")).isFalse();
    }
}
