package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.time.Month;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** How days and numbers are said. */
class SaysTest {

    private final Today today = mock(Today.class);
    private final Says says = new Says(today);

    @ParameterizedTest
    @CsvSource({
        "0, 0%",
        "0.0001, under 1%",
        "0.0049, under 1%",
        "0.005, 1%",
        "0.0149, 1%",
        "0.125, 13%",
        "0.995, 100%",
        "0.9951, over 99%",
        "0.99999, over 99%",
        "1, 100%"
    })
    void percentagesNeverSayWhatIsNeitherSureNorImpossible(double share, String words) {
        assertThat(says.percent(share)).isEqualTo(words);
    }

    @Test
    void numbersReadTheSameOnAnyMachine() {
        assertThat(says.number(12_345)).isEqualTo("12,345");
        assertThat(says.amount(1234.5)).isEqualTo("1,234.5");
        assertThat(says.amount(6)).isEqualTo("6");
        assertThat(says.amount(6.254)).isEqualTo("6.25");
        assertThat(says.rough(7.049)).isEqualTo("7");
        assertThat(says.rough(14.46)).isEqualTo("14");
        assertThat(says.rough(0.3761)).isEqualTo("0.38");
        assertThat(says.rough(352)).isEqualTo("350");
        assertThat(says.work(1)).isEqualTo("1 minute");
        assertThat(says.work(9)).isEqualTo("9 minutes");
        assertThat(says.work(34)).isEqualTo("about 35 minutes");
        assertThat(says.work(58)).isEqualTo("about an hour");
        assertThat(says.span(says.wait("Soak for ten minutes."))).isEqualTo("10 min");
        assertThat(says.span(says.wait("Soak half an hour."))).isEqualTo("½ h");
        assertThat(says.span(5400)).isEqualTo("1½ h");
        assertThat(says.span(5)).isEqualTo("5 s");
        assertThat(says.span(4500)).isEqualTo("75 min");
        assertThat(says.wait("Cut below a node.")).isZero();
        assertThat(says.work(94)).isEqualTo("about 1½ hours");
        assertThat(says.work(200)).isEqualTo("about 3½ hours");
        assertThat(says.work(240)).isEqualTo("about half a day");
        assertThat(says.work(470)).isEqualTo("about a day");
        assertThat(says.work(700)).isEqualTo("about 1½ days");
        assertThat(says.count(1, "piece", "pieces")).isEqualTo("1 piece");
        assertThat(says.count(2000, "piece", "pieces")).isEqualTo("2,000 pieces");
    }

    @Test
    void daysAreSaidWithTheYearWhereItIsNotThisOne() {
        when(today.date()).thenReturn(LocalDate.of(2026, 11, 26));
        assertThat(says.day(LocalDate.of(2026, 11, 24))).isEqualTo("Tue 24 Nov");
        assertThat(says.day(LocalDate.of(2026, 1, 1))).isEqualTo("Thu 1 Jan");
        assertThat(says.day(LocalDate.of(2027, 5, 29))).isEqualTo("Sat 29 May 2027");
        assertThat(says.day(LocalDate.of(2026, 9, 1))).isEqualTo("Tue 1 Sep");
        assertThat(says.away(LocalDate.of(2026, 11, 26))).isEqualTo("today");
        assertThat(says.away(LocalDate.of(2026, 11, 25))).isEqualTo("1 day ago");
        assertThat(says.away(LocalDate.of(2026, 11, 29))).isEqualTo("in 3 days");
    }

    @Test
    void aDifferenceIsSaidInPiecesOfAHundred() {
        assertThat(says.moreInHundred(0.35)).isEqualTo("+35");
        assertThat(says.moreInHundred(-0.124)).isEqualTo("−12");
        assertThat(says.moreInHundred(-0.004)).as("no minus nothing").isEqualTo("0");
        assertThat(says.inHundred(0.05)).isEqualTo("5");
        assertThat(says.inHundred(-0.05)).isEqualTo("−5");
    }

    @Test
    void monthsAreSaidInRuns() {
        assertThat(says.months(Set.of(Month.MARCH, Month.APRIL, Month.MAY, Month.SEPTEMBER)))
                .isEqualTo("March to May, September");
        assertThat(says.months(Set.of(Month.NOVEMBER, Month.DECEMBER, Month.JANUARY)))
                .as("over the turn of the year")
                .isEqualTo("November to January");
        assertThat(says.months(Set.of())).isEqualTo("any month");
    }
}
