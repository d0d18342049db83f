package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.naming.NameReading;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Names as people type them, against a list of what must come of each that was written before. */
class TypedNamesTest {

    private static final Guide GUIDE = Guide.load();

    /** One line of the list. */
    record Answer(String typed, String wanted) {

        /** What is wrong with what came of it; empty where all is right. */
        Optional<String> wrong(Guide guide) {
            NameReading<PlantKind> read = guide.names().read(typed);
            String came = "%s → %s (%s)".formatted(typed, said(read), wanted);
            boolean right;
            if (wanted.equals("nobody")) {
                right = read instanceof NameReading.Unknown;
            } else if (wanted.startsWith("ask: ")) {
                Set<String> offered =
                        read.meanings().stream().map(k -> k.names().name()).collect(Collectors.toSet());
                right = read instanceof NameReading.Asked
                        && offered.containsAll(List.of(wanted.substring(5).split(", ")));
            } else {
                boolean sown = wanted.startsWith("seed: ");
                String name = sown ? wanted.substring(6) : wanted;
                right = read.taken()
                        .filter(k -> k.names().name().equals(name) && k.isRaisedByPieces() != sown)
                        .isPresent();
            }
            return right ? Optional.empty() : Optional.of(came);
        }

        /** Whether it is taken for another plant than it is, without a word. */
        boolean isTakenForAnother(Guide guide) {
            String name = wanted.replace("seed: ", "");
            return guide.names().read(typed).taken().stream()
                    .anyMatch(k -> !k.names().name().equals(name));
        }

        private static String said(NameReading<PlantKind> read) {
            String kinds = read.meanings().stream().map(k -> k.names().name()).collect(Collectors.joining(", "));
            return read.getClass().getSimpleName() + ": " + kinds;
        }
    }

    static List<Answer> answers() {
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                TypedNamesTest.class.getResourceAsStream("typed-names.txt"), StandardCharsets.UTF_8))) {
            return lines.lines()
                    .filter(l -> !l.startsWith("#") && !l.isBlank())
                    .map(l -> l.split(" -> "))
                    .map(p -> new Answer(p[0], p[1]))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test
    void nearlyEveryNameIsReadAsItWasMeant() {
        List<Answer> answers = answers();
        List<String> wrong = new ArrayList<>();
        answers.forEach(a -> a.wrong(GUIDE).ifPresent(wrong::add));
        assertThat(answers).hasSizeGreaterThan(300);
        assertThat(wrong).as(String.join("\n", wrong)).hasSizeLessThanOrEqualTo(answers.size() * 3 / 100);
    }

    @Test
    void hardlyOneIsTakenForAnotherWithoutAWord() {
        assertThat(answers().stream().filter(a -> a.isTakenForAnother(GUIDE)).map(Answer::typed))
                .as("of these the list asks a question where a plant has just that name")
                .isSubsetOf("poppy annual");
    }

    @Test
    void theGuideKnowsAThousandKinds() {
        assertThat(GUIDE.kinds()).hasSizeGreaterThanOrEqualTo(1000);
        assertThat(GUIDE.kinds().stream().filter(k -> !k.isRaisedByPieces())).hasSizeGreaterThan(100);
    }

    @Test
    void whatIsNotRaisedByPiecesSaysWhyAndWhatPeopleDo() {
        assertThat(GUIDE.kinds().stream().filter(k -> !k.isRaisedByPieces()))
                .allSatisfy(k -> assertThat(GUIDE.raised(k).map(Raised::why))
                        .hasValueSatisfying(w -> assertThat(w).isNotBlank()));
        assertThat(Stream.of("sunflower", "carrot", "oak", "pine", "kentia-palm"))
                .allSatisfy(k -> assertThat(GUIDE.kind(k).orElseThrow().usual()).isEmpty());
    }
}
