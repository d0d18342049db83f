package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.treatment.Handling;
import garden.vivarium.core.treatment.Treatments;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A way is told as a grower says it. */
class WayWordsTest {

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
                    water               | ''                                   | ''                     | tip cutting in water
                    water               | hormone 3,000 ppm, callus 3 d        | ''                     | tip cutting in water, callus 3 d; hormone 0.3%
                    laid on the surface | ''                                   | ''                     | tip cutting, laid on the surface
                    open ground         | wound sealed                         | ''                     | tip cutting, open ground, wound sealed
                    open bark of ours   | soaked 12 h; wood ash; rooting powder| ''                     | tip cutting in open bark of ours, hormone powder; soaked 12 h; wood ash
                    plug compost        | hormone 0.3%                         | own-kelp-plugs         | tip cutting in plug compost, as kelp-plugs version 2; hormone 0.3%
                    """)
    void asAGrowerSaysIt(String medium, String treatment, String protocol, String told) {
        Way way = new Way(
                "Fuchsia",
                "",
                "soft",
                "tip cutting",
                medium,
                Treatments.read(treatment),
                protocol.isEmpty() ? Optional.empty() : Way.Own.of(protocol, 2),
                false);
        assertThat(WayWords.of(way)).isEqualTo(told);
    }

    @ParameterizedTest
    @ValueSource(strings = {"hormone 0.3% gel", "callus 3 d", "soaked 12 h", "soaked", "callus", "hormone"})
    void whatIsToldIsReadAsTheSame(String written) {
        Treatments read = Treatments.read(written);
        assertThat(Treatments.read(WayWords.of(read))).isEqualTo(read);
    }

    @ParameterizedTest
    @EnumSource(Handling.class)
    void whatHasNoMeasureTooInEnglish(Handling handling) {
        assertThat(Treatments.read(Messages.name(handling)).has(handling)).isTrue();
    }
}
