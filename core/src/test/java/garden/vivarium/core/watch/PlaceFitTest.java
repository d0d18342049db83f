package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.Statement;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Temperature;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.watch.PlaceFit.Air;
import garden.vivarium.core.watch.PlaceFit.Finding;
import garden.vivarium.core.watch.PlaceFit.Light;
import garden.vivarium.core.watch.PlaceFit.Range;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlaceFitTest {

    private static Protocol.Air wants(String cover, String humidity, String light) {
        return new Protocol.Air(
                cover, List.of(Warmth.between(18, 22)), Optional.empty(), Prose.of(""), humidity, light, 0);
    }

    private static Air place(double from, double to, double humidFrom, double humidTo, Light light) {
        return new Air(
                Optional.of(Warmth.between(from, to)), Optional.of(new Range(humidFrom, humidTo)), Optional.of(light));
    }

    @Test
    void whatMeetsFits() {
        assertThat(PlaceFit.of(place(15, 19, 50, 80, Light.BRIGHT), wants("none", "60 to 75%", "bright shade")))
                .isEmpty();
        assertThat(PlaceFit.of(
                        new Air(Optional.empty(), Optional.empty(), Optional.empty()), wants("none", "90%", "dark")))
                .as("nothing is known of the place")
                .isEmpty();
    }

    @Test
    void whatDoesNotMeetIsSaid() {
        List<Statement> found = PlaceFit.of(place(4, 12, 30, 50, Light.SUN), wants("none", "90%", "bright shade"));

        assertThat(found)
                .extracting(Statement::rule)
                .containsExactly(Finding.TOO_COLD, Finding.TOO_DRY, Finding.TOO_BRIGHT);
        assertThat(found.get(0).figures())
                .containsEntry("has", Temperature.ofCelsius(12))
                .containsKey("wanted");
        assertThat(PlaceFit.of(place(26, 34, 96, 99, Light.DARK), wants("none", "60 to 75%", "bright")))
                .extracting(Statement::rule)
                .containsExactly(Finding.TOO_WARM, Finding.TOO_HUMID, Finding.TOO_DARK);
    }

    @Test
    void underALidTheAirIsTheVesselsOwn() {
        assertThat(PlaceFit.of(place(18, 22, 30, 50, Light.BRIGHT_SHADE), wants("lid ajar", "90%", "bright shade")))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"85%, 75, 95", "80 to 90%, 80, 90", "60% and up, 60, 100", "about 90%, 80, 100"})
    void humidityIsReadFromItsWords(String words, double from, double to) {
        assertThat(PlaceFit.humidity(words)).contains(new Range(from, to));
        assertThat(PlaceFit.humidity("room air")).isEmpty();
    }
}
