package garden.vivarium.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.platform.InvalidField;
import java.util.Currency;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Sums in the nursery's own currency. */
class MoneyTest extends AtANursery {

    @Autowired
    private Money money;

    @Test
    void asItIsWrittenInTheCurrencyOfTheNursery() {
        assertThat(in(() -> money.of(1234.5))).isEqualTo("1,234.50");
        run(() -> money.keepIn("EUR"));
        assertThat(in(() -> money.of(11.6))).isEqualTo("€11.60");
        run(() -> money.keepIn("JPY"));
        assertThat(in(() -> money.of(1180))).as("yen have no hundredths").endsWith("1,180");
        run(() -> money.keepIn(""));
        assertThat(in(() -> money.currency())).isEmpty();
    }

    @Test
    void oneNurserysCurrencyIsNotAnothers() {
        run(() -> money.keepIn("GBP"));
        assertThat(elsewhere(() -> money.currency())).isEmpty();
        assertThat(in(() -> money.currency())).contains(Currency.getInstance("GBP"));
    }

    @Test
    void whatNoCountryPaysWithIsRefused() {
        assertThatThrownBy(() -> run(() -> money.keepIn("DEM")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("no such currency");
    }
}
