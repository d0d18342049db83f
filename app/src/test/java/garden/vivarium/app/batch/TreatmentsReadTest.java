package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What an earlier version stored of treatments in words is read; the words of a trial are no treatment. */
class TreatmentsReadTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
            callus; hormone 0.3%                         | -                    | DRYING; HORMONE 3000
            hormone 3,000 ppm                            | -                    | HORMONE 3000
            hormone powder no. 2; wood ash               | -                    | UNREAD hormone powder no. 2; OWN wood ash
            hormone 0.3%; trial: callused or fresh       | callused, fresh      | HORMONE 3000
            callus; trial: callus or fresh               | callus, fresh        | DRYING
            grit or no; hormone 0.3%; trial: perlite     | perlite; grit or no  | HORMONE 3000
            DRYING; HORMONE 3000                         | -                    | DRYING; HORMONE 3000
            ''                                           | -                    | ''
            """)
    void wordsBecomeCodes(String stored, String arms, String code) {
        assertThat(TreatmentsRead.code(stored, arms)).isEqualTo(code);
        assertThat(TreatmentsRead.code(code, arms)).as("once only").isEqualTo(code);
    }
}
