package garden.vivarium.core.timing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.Statement;
import garden.vivarium.core.UnknownWord;
import java.time.LocalDate;
import java.time.Month;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CodesAndSeasonsTest {

    @ParameterizedTest
    @CsvSource({
        "2026-11-20, 2, 26w47-B",
        "2027-01-01, 1, 26w53-A",
        "2026-01-05, 9, 26w02-J",
        "2026-01-05, 14, 26w02-P",
        "2026-01-05, 24, 26w02-Z",
        "2026-01-05, 25, 26w02-AA",
        "2026-01-05, 600, 26w02-ZZ",
        "2026-01-05, 601, 26w02-AAA",
    })
    void aBatchCodeNamesWeekAndPlaceInIt(LocalDate day, int number, String code) {
        assertThat(BatchCode.of(day, number)).hasToString(code);
        assertThat(BatchCode.parse(code)).isEqualTo(BatchCode.of(day, number));
    }

    @Test
    void lettersSkipThoseThatReadAsDigits() {
        BatchCode code = BatchCode.of(LocalDate.of(2026, 6, 1), 1);
        for (int i = 0; i < 700; i++) {
            assertThat(code.toString().substring(6)).doesNotContain("I", "O");
            assertThat(BatchCode.parse(code.toString())).isEqualTo(code);
            code = code.next();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"26w47", "26w47-I", "26w54-A", "26w47-b", "w47-B", ""})
    void whatIsNoBatchCodeIsRefused(String text) {
        assertThatThrownBy(() -> BatchCode.parse(text)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void aPieceCodeReadsBack() {
        PieceCode code = PieceCode.parse("26w47-B/14");

        assertThat(code.piece()).isEqualTo(14);
        assertThat(code).hasToString("26w47-B/14");
        assertThatThrownBy(() -> PieceCode.parse("26w47-B")).hasMessageContaining("26w47-B/14");
        assertThatThrownBy(() -> PieceCode.parse("26w47-B/0")).hasMessageContaining("from 1");
    }

    @Test
    void theSouthernYearRunsSixMonthsLater() {
        Season spring = new Season(Set.of(Month.MARCH, Month.APRIL), 1.5, 0.8, Season.Of.WARMTH);
        LocalDate april = LocalDate.of(2026, 4, 10);
        LocalDate october = LocalDate.of(2026, 10, 10);

        assertThat(spring.isIn(april, Climate.OPEN, Hemisphere.NORTH)).isTrue();
        assertThat(spring.isIn(april, Climate.OPEN, Hemisphere.SOUTH)).isFalse();
        assertThat(spring.isIn(october, Climate.HEATED, Hemisphere.SOUTH)).isTrue();
        assertThat(spring.isIn(october, Climate.LIT, Hemisphere.NORTH)).isTrue();
        assertThat(spring.factors(october, Climate.COLD, Climate.COLD, Hemisphere.NORTH))
                .isEqualTo(new SeasonFactors(1.5, 0.8));
        assertThat(spring.localMonths(Hemisphere.SOUTH)).containsExactly(Month.SEPTEMBER, Month.OCTOBER);
        assertThat(Season.allYear().isIn(october, Climate.OPEN, Hemisphere.NORTH))
                .isTrue();
    }

    @Test
    void onlyLooksThatCanKnowSayAnything() {
        assertThat(LookKind.ABOVE.canKnow(Sign.ROOT)).isFalse();
        assertThat(LookKind.ABOVE.canKnow(Sign.SHOOT)).isTrue();
        assertThat(LookKind.TUG.canKnow(Sign.ROOT)).isTrue();
        assertThat(LookKind.of("Wall")).isEqualTo(LookKind.WALL);
        assertThatThrownBy(() -> LookKind.of("sniff"))
                .isInstanceOfSatisfying(
                        UnknownWord.class,
                        e -> assertThat(e.fault())
                                .isEqualTo(Statement.of(UnknownWord.Wanted.LOOK, "word", "sniff", "known", "")));
    }

    @ParameterizedTest
    @CsvSource({"ABOVE, false, true", "WALL, true, true", "TUG, true, true", "LIFTED, true, true"})
    void whatALookCanKnow(LookKind look, boolean roots, boolean shoots) {
        assertThat(look.canKnow(Sign.ROOT)).isEqualTo(roots);
        assertThat(look.canKnow(Sign.SHOOT)).isEqualTo(shoots);
        assertThat(LookKind.of(look.code())).isEqualTo(look);
    }
}
