package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.guide.WordFinder.Found;
import garden.vivarium.core.guide.WordFinder.How;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What people call things, and what the guide calls them. */
class WordFinderTest {

    private static final Guide GUIDE = Guide.load();

    @ParameterizedTest(name = "{0} {1}")
    @CsvFileSource(resources = "/words/answers.csv", useHeadersInDisplayName = false, numLinesToSkip = 1)
    void meansWhatGrowersMean(String what, String typed, String means, String how) {
        Optional<Found> found = what.equals("medium")
                ? MediumReader.of(GUIDE.mediumWords(), List.of()).read(typed)
                : GUIDE.methodWords().find(typed);

        assertThat(found.map(Found::name)).isEqualTo(Optional.ofNullable(means));
        assertThat(found.map(f -> f.how().name().toLowerCase(Locale.ROOT)).orElse("none"))
                .isEqualTo(how);
    }

    @Test
    void readsItsOwnWritingOfAMixAsWritten() {
        MediumReader media = MediumReader.of(GUIDE.mediumWords(), List.of());
        Found once = media.read("3 pumice, 2 bark, 1 sphagnum").orElseThrow();

        assertThat(once.name()).isEqualTo("3 pumice + 2 bark + 1 long-fibre moss");
        assertThat(media.read(once.name())).contains(new Found(once.name(), How.WRITTEN));
    }

    @Test
    void knowsTheNurserysOwnMediaAndMixesOfThem() {
        MediumReader media = MediumReader.of(GUIDE.mediumWords(), List.of("kelp char", "Rockwool"));

        assertThat(media.read("Kelp Char")).contains(new Found("kelp char", How.WRITTEN));
        assertThat(media.read("kelp chr")).contains(new Found("kelp char", How.NEAR));
        assertThat(media.read("half rockwool, half perlite"))
                .contains(new Found("1 perlite + 1 Rockwool", How.WRITTEN));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
        garden soil, cocopeat, perlite and vermicompost | 1 coir + 1 garden soil + 1 perlite + 1 vermicompost
        sphagnum and perlite                            | 1 long-fibre moss + 1 perlite
        half garden soil, half bark                     | 1 bark + 1 garden soil
        2 kelp meal, 1 coir                             | 2 kelp meal + 1 coir
        kelp and wrack                                  | -
        perlyte and coir                                | -
        coir                                            | -
        """)
    void aPartThatTheGuideDoesNotKnowIsTheNurserysOwn(String typed, String mix) {
        assertThat(MediumReader.of(GUIDE.mediumWords(), List.of()).withOwnParts(typed))
                .isEqualTo(Optional.ofNullable(mix));
    }

    @Test
    void halvesAreRead() {
        assertThat(MediumReader.of(GUIDE.mediumWords(), List.of())
                        .read("half compost, half vermiculite")
                        .orElseThrow()
                        .name())
                .isEqualTo("1 peat-free compost + 1 vermiculite");
    }

    @Test
    void twoThatAreEquallyNearAreNotChosenBetween() {
        WordFinder words = WordFinder.of(Map.of("bark mix", List.of(), "dark mix", List.of()));

        assertThat(words.find("park mix")).isEmpty();
        assertThat(words.find("bark mix")).contains(new Found("bark mix", How.WRITTEN));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "   ", "1 + 1", "50:50", "/", "+", ":1", "half half"})
    void nothingIsMeantByNothing(String typed) {
        assertThat(MediumReader.of(GUIDE.mediumWords(), List.of()).read(typed)).isEmpty();
    }

    @Test
    void everyOtherNameMeansOneThingOnly() {
        assertThatThrownBy(() -> WordFinder.of(Map.of("bark", List.of("chips"), "grit", List.of("chips"))))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("chip");
    }
}
