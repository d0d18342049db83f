package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** A quantity is the same in every unit of its kind, and is told as closely as it was measured. */
class QuantityTest {

    @ParameterizedTest
    @CsvFileSource(resources = "/words/quantities.csv", numLinesToSkip = 1)
    void whoReadsOtherUnitsIsToldTheSameQuantity(double number, Unit unit, double usNumber, Unit usUnit) {
        Quantity quantity = quantity(number, unit);

        Quantity.Figure us = quantity.in(UnitSystem.US);
        assertThat(us.unit()).isEqualTo(usUnit);
        assertThat(Math.round(us.number() * Math.pow(10, us.decimals())) / Math.pow(10, us.decimals()))
                .isEqualTo(usNumber);
        assertThat(quantity.in(UnitSystem.METRIC).number()).isEqualTo(number, within(1e-9));
        assertThat(quantity.in(UnitSystem.METRIC).unit()).isEqualTo(unit);
    }

    @ParameterizedTest
    @EnumSource(Unit.class)
    void thereAndBackIsTheSame(Unit unit) {
        for (double number : new double[] {-40, 0, 0.01, 1, 37.3, 1e4}) {
            assertThat(unit.in(unit.of(number))).isEqualTo(number, within(1e-9));
        }
    }

    @Test
    void aDifferenceOfTemperaturesIsNoTemperature() {
        assertThat(Temperature.ofCelsius(21).minus(Temperature.ofCelsius(18.7)).in(Unit.FAHRENHEIT_DEGREE))
                .isEqualTo(4.14, within(1e-9));
        assertThatThrownBy(() -> TemperatureDifference.ofKelvin(2).in(Unit.FAHRENHEIT))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("FAHRENHEIT measures TEMPERATURE");
    }

    @Test
    void aRangeIsOfOneKindAndTheLowerFirst() {
        assertThatThrownBy(() -> new Quantity.Between(Length.ofMillimetres(3), Temperature.ofCelsius(5)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Quantity.Between(Length.ofCentimetres(3), Length.ofMillimetres(5)))
                .isInstanceOf(IllegalArgumentException.class);
        assertThat(new Quantity.Between(Length.ofMillimetres(3), Length.ofCentimetres(5)).to())
                .isEqualTo(Length.ofCentimetres(5));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            cover with 5 mm of sand    | cover with <5 mm> of sand
            roots of 30 to 50 mm       | roots of <30 to 50 mm>
            5–8 cm apart               | <5 to 8 cm> apart
            keep it at -2.5 °C         | keep it at <-2.5 °C>
            keep it at −2.5 °C         | keep it at <-2.5 °C>
            keep it at 68 °F           | keep it at <20 °C>
            1 inch deep                | <2.5 cm> deep
            roots of 1.181 in          | roots of <3 cm>
            2 to 3 in across           | <5.1 to 7.6 cm> across
            in 2 litres of water       | in <2 L> of water
            a 0.5 US gal pot           | a <1.89 L> pot
            plant 2 in each            | plant 2 in each
            0,5 cm deep                | <0.5 cm> deep
            3-5 cm apart               | <3 to 5 cm> apart
            10 to 5 cm                 | <10 to 5 cm>
            1,200 mm long              | <1200 mm> long
            26w47-B                    | 26w47-B
            6 trays, 24 pieces         | 6 trays, 24 pieces
            already <5 mm>             | already <5 mm>
            """)
    void figuresThatSomebodyTypesBecomeQuantities(String typed, String written) {
        assertThat(Prose.typed(typed).written()).isEqualTo(written);
        assertThat(Prose.of(written)).isEqualTo(Prose.typed(typed));
    }

    @Test
    void proseHasItsFiguresAsQuantities() {
        Prose prose = Prose.of("cut <2 to 5 cm> below; <1 L>");
        assertThat(prose.parts())
                .containsExactly(
                        new Prose.Words("cut "),
                        new Prose.Measured(Length.ofCentimetres(2), Length.ofCentimetres(5)),
                        new Prose.Words(" below; "),
                        new Prose.Measured(Volume.ofLitres(1), Volume.ofLitres(1)));
        assertThat(prose.metric()).isEqualTo("cut 2 to 5 cm below; 1 L");
        assertThat(Prose.of("").isBlank()).isTrue();
        assertThat(prose.isBlank()).isFalse();
    }

    private static Quantity quantity(double number, Unit unit) {
        return switch (unit.kind()) {
            case LENGTH -> new Length(unit.of(number), unit);
            case VOLUME -> new Volume(unit.of(number), unit);
            case MASS -> new Mass(unit.of(number), unit);
            case TEMPERATURE -> new Temperature(unit.of(number), unit);
            case TEMPERATURE_DIFFERENCE -> new TemperatureDifference(unit.of(number), unit);
            case CONCENTRATION -> new Concentration(unit.of(number), unit);
            case TIME -> new TimeSpan(unit.of(number), unit);
        };
    }
}
