package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.Closeness;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.plan.Outlook;
import garden.vivarium.core.timing.SeasonFactors;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Month;
import org.junit.jupiter.api.Test;

/** What was expected of a batch reads back the same in the format of today, and is brought up from each older one. */
class OutlookTextTest {

    private final OutlookText texts = new OutlookText();

    @Test
    void readsBackTheSame() {
        for (var protocol : Guide.load().protocols()) {
            Outlook outlook = Outlook.ofGuide(protocol, 0.08);
            String text = texts.write(outlook, SeasonFactors.IN_SEASON);
            assertThat(text).startsWith("{\"format\":5,");
            assertThat(texts.read(text).kept(SeasonFactors.IN_SEASON))
                    .as(protocol.key())
                    .isEqualTo(outlook.kept(SeasonFactors.IN_SEASON));
        }
    }

    @Test
    void formatOneWithBatchesBehindItKeepsItsMeansAndSaysHowUnsureItWas() throws IOException {
        Outlook old = texts.read(sample("outlook-format-1.json"));

        assertThat(old.inSeason().strike().alpha()).isEqualTo(7.110139837526506);
        assertThat(old.inSeason().strike().shares()).hasSize(1);
        assertThat(Math.log(old.inSeason().ready().day(0.5))).isCloseTo(3.567546436088429, within(1e-12));
        assertThat(old.inSeason().ready().tau()).isEqualTo(0.2);
        assertThat(old.inSeason().ready().unsure()).isCloseTo(1 / (16 + 5 / 0.06), within(1e-12));
        double whole = 0.2780454391386095;
        assertThat(old.inSeason().ready().within()).isCloseTo(Math.sqrt(whole * whole - 0.04), within(1e-12));
        assertThat(old.in(old.season().outside()).strike().mean())
                .isCloseTo(0.85 * old.inSeason().strike().mean(), within(1e-12));
        assertThat(old.in(old.season().outside()).ready().day(0.5))
                .isCloseTo(1.6 * old.inSeason().ready().day(0.5), within(1e-9));
        assertThat(old.callus().orElseThrow().usual()).isEqualTo(3);
        assertThat(old.settle().orElseThrow().days()).isEqualTo(10);
        assertThat(old.output().isOne()).isTrue();
        assertThat(old.season().months()).contains(Month.MARCH);
    }

    @Test
    void formatOneFromTheGuideAloneIsTheGuideAsItIsReadNow() throws IOException {
        Outlook old = texts.read(sample("outlook-format-1-guide.json"));

        assertThat(old.inSeason().ready().batches()).isZero();
        assertThat(old.inSeason().ready().unsure()).isEqualTo(1.0 / 16);
        assertThat(old.inSeason().ready().tau()).isCloseTo(0.255440, within(5e-7));
        assertThat(texts.read(texts.write(old, SeasonFactors.IN_SEASON)).kept(SeasonFactors.IN_SEASON))
                .isEqualTo(old.kept(SeasonFactors.IN_SEASON));
    }

    @Test
    void formatThreeDidNotSayWhatItsSeasonIsOf() throws IOException {
        Outlook old = texts.read(sample("outlook-format-3.json"));

        assertThat(old.season())
                .isEqualTo(Guide.load()
                        .protocol("pad-in-grit")
                        .orElseThrow()
                        .material()
                        .season());
        assertThat(texts.read(texts.write(old, SeasonFactors.IN_SEASON)).kept(SeasonFactors.IN_SEASON))
                .isEqualTo(old.kept(SeasonFactors.IN_SEASON));
    }

    @Test
    void formatTwoToldInWordsHowCloseItsEvidenceIs() throws IOException {
        Outlook old = texts.read(sample("outlook-format-2.json"));

        assertThat(old.inSeason().strike().shares())
                .extracting(StrikeRate.Share::closeness)
                .containsExactly(
                        Closeness.OTHER_GROUPS,
                        Closeness.OTHER_PLANTS,
                        Closeness.OTHER_WAYS,
                        Closeness.OTHER_SEASON,
                        Closeness.THIS_WAY);
        assertThat(old.inSeason().strike().shares().get(4).weight()).isEqualTo(44.80346971757719);
        assertThat(old.inSeason().firstSignRate().shares())
                .extracting(StrikeRate.Share::closeness)
                .endsWith(Closeness.THIS_WAY);
        assertThat(texts.read(texts.write(old, SeasonFactors.IN_SEASON)).kept(SeasonFactors.IN_SEASON))
                .isEqualTo(old.kept(SeasonFactors.IN_SEASON));
        assertThatThrownBy(() -> texts.read(
                        sample("outlook-format-2.json").replace("This plant, this way\"", "Those over there\"")))
                .hasMessageContaining("a level that is none");
    }

    @Test
    void whatIsMissingOrNotKnownIsNeverSilentlyNothing() {
        String text = texts.write(Outlook.ofGuide(Guide.load().protocols().get(0), 0.08), SeasonFactors.IN_SEASON);

        assertThatThrownBy(() -> texts.read(text.replace("\"tau\"", "\"tao\""))).hasMessageContaining("cannot be read");
        assertThatThrownBy(() -> texts.read(text.replace("\"format\":5", "\"format\":9")))
                .hasMessageContaining("format 9");
    }

    private static String sample(String name) throws IOException {
        try (InputStream in = OutlookTextTest.class.getResourceAsStream("/data/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
