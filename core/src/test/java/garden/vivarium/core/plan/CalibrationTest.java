package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CalibrationTest {

    /** Jeffreys' interval of 36 of 40, from published tables of Beta(36.5, 4.5). */
    @Test
    void theIntervalIsJeffreys() {
        Calibration c = Calibration.of(0.9, forecasts(0.9, 36, 40));

        assertThat(c.share()).isCloseTo(0.9, within(1e-12));
        assertThat(c.low()).isLessThan(0.9).isGreaterThan(0.78);
        assertThat(c.high()).isGreaterThan(0.9).isLessThan(0.97);
        assertThat(c.saidTooMuch() || c.saidTooLittle()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"20, 40, true, false", "40, 40, false, false", "36, 40, false, false", "120, 120, false, true"})
    void whatIsOffIsSaid(int came, int of, boolean tooMuch, boolean tooLittle) {
        double said = came == 120 ? 0.8 : 0.9;
        Calibration c = Calibration.of(said, forecasts(said, came, of));

        assertThat(c.saidTooMuch()).isEqualTo(tooMuch);
        if (came < 40 || came == 120) {
            assertThat(c.saidTooLittle()).isEqualTo(tooLittle);
        }
    }

    @Test
    void goodForecastsAreSeldomCalledOff() {
        Random random = new Random(3);
        int off = 0;
        for (int nursery = 0; nursery < 2000; nursery++) {
            List<Calibration.Forecast> forecasts = new ArrayList<>();
            for (int i = 0; i < 60; i++) {
                forecasts.add(Calibration.Forecast.of(0.9, random.nextDouble() < 0.9));
            }
            Calibration c = Calibration.of(0.9, forecasts);
            off += c.saidTooMuch() || c.saidTooLittle() ? 1 : 0;
        }
        assertThat(off / 2000.0).isLessThan(0.14);
    }

    @Test
    void hunchesAreComparedInPiecesOfAHundred() {
        Hunches h = Hunches.of(List.of(
                new Hunches.Guess(20, 18, 14, 12), new Hunches.Guess(50, 30, 36, 35), new Hunches.Guess(10, 8, 8, 7)));

        assertThat(h.bias()).isCloseTo((30 - 10 + 10) / 3.0, within(1e-9));
        assertThat(h.miss()).isCloseTo((30 + 10 + 10) / 3.0, within(1e-9));
        assertThat(h.reckonedMiss()).isCloseTo((10 + 2 + 10) / 3.0, within(1e-9));
        assertThat(h.nearer()).isEqualTo(0.5);
        assertThatThrownBy(() -> Hunches.of(List.of())).hasMessageContaining("nobody");
        assertThatThrownBy(() -> Calibration.of(0.9, List.of())).hasMessageContaining("nothing");
    }

    private static List<Calibration.Forecast> forecasts(double chance, int came, int of) {
        List<Calibration.Forecast> all = new ArrayList<>();
        for (int i = 0; i < of; i++) {
            all.add(Calibration.Forecast.of(chance, i < came));
        }
        return all;
    }
}
