package garden.vivarium.core.treatment;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.measure.Concentration;
import garden.vivarium.core.measure.TimeSpan;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;

/** Treatments are read from what people write, once, and are types from then on. */
class TreatmentsTest {

    @ParameterizedTest
    @CsvFileSource(resources = "/words/doses.csv", delimiter = ';', numLinesToSkip = 1)
    void aDoseIsReadHoweverItIsWritten(String written, Double ppm, String told) {
        Treatments read = Treatments.read(written);

        assertThat(read.hormonePpm()).isEqualTo(Optional.ofNullable(ppm));
        assertThat(read.written()).isEqualTo(told == null ? "" : told);
        assertThat(Treatments.stored(read.code())).as(read.code()).isEqualTo(read);
        assertThat(Treatments.read(read.written()))
                .as("what is shown as read is read as the same")
                .isEqualTo(read);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            callus; hormone 0.3%             | DRYING; HORMONE 3000
            hormone 0,3 %, callus            | DRYING; HORMONE 3000
            hormone 0.3%;;Hormone 0.3% ;     | HORMONE 3000
            callus 3 d; bottom heat          | BOTTOM_HEAT; DRYING 72
            dried for 2 weeks                | DRYING 336
            soaked overnight                 | SOAK 12
            steeped for 30 min + heat mat    | BOTTOM_HEAT; SOAK 0.5
            wound sealed, slant cut, covered | COVERED; SLANT_CUT; SEALED
            Wood ash                         | OWN wood ash
            rooting powder no. 2             | UNREAD rooting powder no. 2
            """)
    void severalAreTheSameInWhateverOrderAndWords(String written, String code) {
        assertThat(Treatments.read(written).code()).isEqualTo(code);
        assertThat(Treatments.stored(code)).isEqualTo(Treatments.read(written));
        assertThat(Treatments.stored(written))
                .as("as an earlier version stored it")
                .isEqualTo(Treatments.read(written));
    }

    @Test
    void whatCannotBeReadIsNoDoseOfNothing() {
        Treatments unread = Treatments.read("hormone 3000");

        assertThat(unread.hormonePpm()).isEmpty();
        assertThat(unread.unread()).hasSize(1);
        assertThat(unread.hormones()).isEqualTo(unread);
        assertThat(unread.others().isEmpty()).isTrue();
    }

    @Test
    void typesAreAsked() {
        Treatments all = Treatments.read(List.of("callus 3 d", "hormone 0.3% powder", "open", "wood ash"));

        assertThat(all.isDried()).isTrue();
        assertThat(all.has(new Drying(Optional.of(TimeSpan.ofDays(3))))).isTrue();
        assertThat(all.has(Handling.OPEN)).isTrue();
        assertThat(all.hormone().orElseThrow().form()).isEqualTo(Hormone.Form.POWDER);
        assertThat(all.hormone().orElseThrow().strength().map(Concentration::ppm))
                .contains(3000.0);
        assertThat(all.others().written()).isEqualTo("callus 3 d; open; wood ash");
        assertThat(all.without(Treatments.read("open")).has(Handling.OPEN)).isFalse();
        assertThat(Treatments.NONE.and(all)).isEqualTo(all);
        assertThat(Treatments.read("callused or fresh").isDried())
                .as("what merely speaks of it")
                .isFalse();
    }
}
