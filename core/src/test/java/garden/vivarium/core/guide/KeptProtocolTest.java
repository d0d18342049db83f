package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.measure.Length;
import garden.vivarium.core.measure.PotSize;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.Spacing;
import garden.vivarium.core.measure.Warmth;
import garden.vivarium.core.timing.Season;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A kept protocol is brought up from each older format. */
class KeptProtocolTest {

    @Test
    void formatOneIsReadAsItWas() throws IOException {
        Protocol kept = sample(1);

        assertThat(kept.key()).isEqualTo("own-slipway-plugs");
        assertThat(kept.version()).isEqualTo(3);
        assertThat(kept.course().tooLong()).isEqualTo(17);
        assertThat(kept.wound().prepare()).isNotEmpty();
        assertThat(kept.placing().spacing()).isEqualTo(new Spacing(Optional.empty(), "one to a cell"));
        assertThat(kept.placing().vessel().kind()).isEqualTo(Protocol.Vessel.Kind.CELLS);
        assertThat(kept.keeping().air().warmth()).containsExactly(Warmth.between(16, 20));
        assertThat(kept.keeping().air().base()).isEmpty();
        assertThat(kept.keeping().air().remark())
                .as("what is no plain number stays in words")
                .isEqualTo(Prose.of("base <22 °C> from a mat, until rooted"));
        assertThat(kept.potting().pot()).isEqualTo(new PotSize(Optional.of(90), Optional.empty(), ""));
        assertThat(KeptProtocol.write(kept)).contains("format: 5").contains("key: \"own-slipway-plugs\"");
        assertThat(KeptProtocol.read(KeptProtocol.write(kept))).isEqualTo(kept);
    }

    @Test
    void formatTwoComesIntoTheSamePartsAsTheGuide() throws IOException {
        Protocol guides = Guide.load().protocol("plantlet-on-rescued-stem").orElseThrow();

        assertThat(sample(2)).isEqualTo(guides.asOwn("cold-bulb-scales", "Bulb scales our way"));
    }

    @Test
    void formatThreeDidNotSayWhatItsSeasonIsOf() throws IOException {
        Protocol guides = Guide.load().protocol("semi-ripe-in-frame").orElseThrow();

        assertThat(sample(3)).isEqualTo(guides.asOwn("slipway-frame", "Semi-ripe our way"));
        assertThat(sample(3).material().season().of()).isEqualTo(Season.Of.MATERIAL);
        assertThat(KeptProtocol.read(text(3).replace("semi-ripe cutting", "plantlet"))
                        .material()
                        .season()
                        .of())
                .isEqualTo(Season.Of.WARMTH);
    }

    @Test
    void formatFourHadItsMeasuredFiguresInWords() throws IOException {
        Protocol guides = Guide.load().protocol("semi-ripe-in-frame").orElseThrow();

        assertThat(sample(4)).isEqualTo(guides.asOwn("slipway-frame", "Semi-ripe our way"));
        assertThat(sample(4).ready().test().parts())
                .containsExactly(
                        new Prose.Words("a fan of roots of "),
                        new Prose.Measured(Length.ofMillimetres(30), Length.ofMillimetres(30)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            5 to 9 °C, then 12 to 16 °C             | 5.0-9.0;12.0-16.0        |
            20 °C for eight weeks, then 5 °C for six | 20.0-20.0x8;5.0-5.0x6   |
            20 °C, dark, twelve weeks               | 20.0-20.0x12             |
            18 °C                                   | 18.0-18.0                |
            outdoors                                |                          | outdoors
            22 to 18 °C                             |                          | 22 to 18 °C
            about as warm as the kitchen            |                          | about as warm as the kitchen
            """)
    void temperaturesInWordsBecomeNumbersOrStayWords(String words, String spells, String remark) throws IOException {
        Protocol.Air air = KeptProtocol.read(text(2).replaceFirst("temperature: .*", "temperature: \"" + words + "\""))
                .keeping()
                .air();

        assertThat(air.warmth().stream()
                        .map(w -> w.from() + "-" + w.to()
                                + w.weeks().map(n -> "x" + n).orElse("")))
                .containsExactly(spells == null ? new String[0] : spells.split(";"));
        assertThat(air.remark().metric()).isEqualTo(remark == null ? "" : remark);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            9 cm                | 90 |     |
            2 L or lined out    |    | 2.0 | lined out
            tray or 9 cm        | 90 |     | tray
            9 cm or 11 cm       | 90 |     | 11 cm
            the same pot        |    |     | the same pot
            """)
    void potsInWordsBecomeSizesOrStayWords(String words, Integer acrossMm, Double litres, String otherwise)
            throws IOException {
        PotSize pot = KeptProtocol.read(text(2).replaceFirst("pot: .*", "pot: \"" + words + "\""))
                .potting()
                .pot();

        assertThat(pot)
                .isEqualTo(new PotSize(
                        Optional.ofNullable(acrossMm),
                        Optional.ofNullable(litres),
                        otherwise == null ? "" : otherwise));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            3 cm apart               | 30 |
            rows 4 cm apart          | 40 | rows
            4 cm apart, set firm     | 40 | set firm
            3 cm apart round the rim | 30 | round the rim
            as it falls              |    | as it falls
            """)
    void distancesInWordsBecomeNumbersOrStayWords(String words, Integer apartMm, String rest) throws IOException {
        Spacing spacing = KeptProtocol.read(text(2).replaceFirst("spacing: .*", "spacing: \"" + words + "\""))
                .placing()
                .spacing();

        assertThat(spacing).isEqualTo(new Spacing(Optional.ofNullable(apartMm), rest == null ? "" : rest));
    }

    private static Protocol sample(int format) throws IOException {
        return KeptProtocol.read(text(format));
    }

    private static String text(int format) throws IOException {
        try (InputStream in =
                KeptProtocolTest.class.getResourceAsStream("/data/protocol-format-%d.yaml".formatted(format))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void aFormatOfALaterVersionAndAFieldThatIsNotKnownAreRefused() {
        String text = KeptProtocol.write(Guide.load().protocols().get(0));

        assertThatThrownBy(() -> KeptProtocol.read(text.replace("format: 5", "format: 9")))
                .hasMessageContaining("format 9");
        assertThatThrownBy(() -> KeptProtocol.read(text.replace("tooLong:", "tooLate:")))
                .hasMessageContaining("tooLong");
        assertThatThrownBy(() -> KeptProtocol.read(text + "extra: 1\n")).hasMessageContaining("extra");
    }
}
