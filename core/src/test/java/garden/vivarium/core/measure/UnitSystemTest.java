package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;

/** Measures as somebody reads them. */
class UnitSystemTest {

    @ParameterizedTest
    @CsvFileSource(resources = "/words/units.csv", numLinesToSkip = 1)
    void measuresAreToldInTheUnitsOfWhoeverReads(String metric, String us) {
        assertThat(UnitSystem.US.retell(metric)).isEqualTo(us);
        assertThat(UnitSystem.METRIC.retell(metric)).isEqualTo(metric);
    }
}
