package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.measure.Concentration;
import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Quantity;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.TemperatureDifference;
import garden.vivarium.core.measure.Unit;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.measure.Volume;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Quantities are told, and typed, in the units of whoever reads. */
class MeasuresTest {

    private final Messages messages = new Messages();
    private final Measures metric = new Measures(messages, () -> UnitSystem.METRIC);
    private final Measures us = new Measures(messages, () -> UnitSystem.US);

    @ParameterizedTest
    @CsvFileSource(resources = "/words/told.csv", delimiter = ';', numLinesToSkip = 1)
    void sentencesAreToldInTheUnitsOfWhoeverReads(String typed, String inMetric, String inUs) {
        assertThat(metric.told(Prose.typed(typed))).isEqualTo(inMetric);
        assertThat(us.told(Prose.typed(typed))).isEqualTo(inUs);
    }

    @Test
    void whatWasToldWronglyOnceIsToldRightly() {
        assertThat(us.celsius(-2.5)).isEqualTo("27.5 °F");
        assertThat(us.told(new Quantity.Between(Temperature.ofCelsius(-4), Temperature.ofCelsius(2))))
                .isEqualTo("25 to 36 °F");
        assertThat(us.told(TemperatureDifference.ofKelvin(2.3))).isEqualTo("4.1 °F");
        assertThat(us.told(new Quantity.Between(Temperature.ofCelsius(18), Temperature.ofCelsius(22))))
                .isEqualTo("64 to 72 °F");
        assertThat(us.told(Prose.of("Bench of <10 cm> pots"))).isEqualTo("Bench of 3.9 in pots");
        assertThat(metric.celsius(-2.5)).as("with a minus, no hyphen").isEqualTo("−2.5 °C");
    }

    @Test
    void volumesAreToldInFullAndRoughlyWhereASentenceHasRoom() {
        Words words = new Words(messages, null, us);
        assertThat(words.say("Sums.mix", "volume", Volume.ofLitres(23.9).roughly(), "mix", "bark"))
                .isEqualTo("6.3 US gallons of bark");
        assertThat(new Words(messages, null, metric)
                        .say("Sums.mix", "volume", Volume.ofLitres(23.9).roughly(), "mix", "bark"))
                .isEqualTo("24 litres of bark");
        assertThat(us.told(Concentration.ofPpm(3000)))
                .as("doses are metric for all")
                .isEqualTo("3,000 ppm");
    }

    @ParameterizedTest
    @ValueSource(doubles = {-20, -2.5, 0, 0.1, 1, 9, 12.5, 20.3, 300})
    void whatIsShownInAFieldAndSentBackUnchangedIsTheSame(double number) {
        for (Unit unit : new Unit[] {Unit.CELSIUS, Unit.CENTIMETRE, Unit.MILLIMETRE, Unit.LITRE}) {
            for (Measures reader : new Measures[] {metric, us}) {
                assertThat(reader.read(reader.typed(number, unit), unit)).hasValue(number);
            }
        }
    }

    @ParameterizedTest
    @EnumSource(UnitSystem.class)
    void aSentenceShownInAFieldAndSentBackUnchangedSaysTheSame(UnitSystem units) {
        Measures reader = new Measures(messages, () -> units);
        Prose prose = Prose.of("cover with <5 mm> of sand, <2 to 5 cm> apart, at <18 to 22 °C> or <-2.5 °C>; <2 L>");

        assertThat(reader.told(Prose.typed(reader.typed(prose)))).isEqualTo(reader.told(prose));
    }

    @Test
    void whatCannotBeIsRefusedInTheUnitThatWasTyped() {
        assertThat(us.within("across", "3.5", Unit.CENTIMETRE, 1, 100)).isEqualTo(8.9);
        assertThatThrownBy(() -> us.within("across", "90", Unit.CENTIMETRE, 1, 100))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("0.4 to 39.37 in");
        assertThatThrownBy(() -> metric.within("across", "wide", Unit.CENTIMETRE, 1, 100))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("1 to 100 cm");
        assertThat(us.unit(Unit.CENTIMETRE)).isEqualTo("in");
        assertThat(us.told(Length.ofMillimetres(25.4))).isEqualTo("1 in");
    }
}
