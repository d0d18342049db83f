package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers as typed into the small forms. */
class FiguresTest {

    @ParameterizedTest
    @CsvSource({"12, 12", "' 7 ', 7", "-3, -3", "0, 0"})
    void wholeNumbersAreRead(String typed, int number) {
        assertThat(Figures.whole("plants", typed)).isEqualTo(number);
    }

    @ParameterizedTest
    @CsvSource({"2.5, 2.5", "'2,5', 2.5", "' 40 ', 40", "-1, -1"})
    void decimalsAreReadAfterAPointOrAComma(String typed, double number) {
        assertThat(Figures.decimal("pack", typed)).isEqualTo(number);
    }

    @Test
    void nothingTypedIsNotNought() {
        assertThat(Figures.whole("plants", "  ")).isNull();
        assertThat(Figures.whole("plants", null)).isNull();
        assertThat(Figures.decimal("pack", "")).isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"a dozen", "2.5", "12 plants", "99999999999"})
    void whatIsNoWholeNumberNamesTheFieldAndWhatWasTyped(String typed) {
        assertThatThrownBy(() -> Figures.whole("plants", typed))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo("plants"))
                .hasMessageContaining("“" + typed + "” is no whole number");
    }

    @ParameterizedTest
    @ValueSource(strings = {"some", "1.2.3", "2 bags"})
    void whatIsNoNumberNamesTheFieldAndWhatWasTyped(String typed) {
        assertThatThrownBy(() -> Figures.decimal("pack", typed))
                .isInstanceOfSatisfying(
                        InvalidField.class, p -> assertThat(p.field()).isEqualTo("pack"))
                .hasMessageContaining("“" + typed + "” is no number");
    }
}
