package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import garden.vivarium.core.naming.NameReading;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The advice against what a propagator would say, in the file that was written before any kind was known. */
class AdviceAnswersTest {

    private static final Guide GUIDE = Guide.load();

    @Test
    void theAnswersAreDrawnFromTheListOfGenera() {
        List<String> genera = new ArrayList<>(lines("genera.csv"));
        Collections.shuffle(genera, new Random(4711));
        List<String> drawn = genera.subList(0, lines("answers.csv").size());

        assertThat(lines("answers.csv"))
                .extracting(l -> String.join(",", List.of(l.split(",", -1)).subList(0, 2)))
                .containsExactlyElementsOf(drawn);
        assertThat(AdviceAnswers.load()).hasSizeGreaterThanOrEqualTo(120);
    }

    @Test
    void whatIsLaughedAtIsWhatTheGroupAloneWouldOffer() {
        for (AdviceAnswers.Answer a : AdviceAnswers.load()) {
            assertThat(GUIDE.suiting(a.group()))
                    .as(a.name())
                    .extracting(p -> p.method())
                    .containsAll(a.laughedAt());
        }
    }

    @Test
    void theFirstWayIsRightAndNoneToLaughAtIsOpen() {
        List<String> wrong = new ArrayList<>();
        List<String> laughable = new ArrayList<>();
        List<AdviceAnswers.Answer> answers = AdviceAnswers.load();
        for (AdviceAnswers.Answer a : answers) {
            Advice<AdvisedWay> advice = AdviceAnswers.advice(GUIDE, a.name(), a.group());
            List<String> open = advice.open().stream()
                    .map(w -> w.offered().protocol().method())
                    .distinct()
                    .toList();
            if (open.isEmpty() || !a.first().contains(open.get(0))) {
                wrong.add(a.name() + ": " + open);
            }
            if (open.stream().anyMatch(a.laughedAt()::contains)) {
                laughable.add(a.name() + ": " + open);
            }
        }
        assertThat(laughable).isEmpty();
        assertThat((double) wrong.size() / answers.size())
                .as("wrong: %s", wrong)
                .isLessThanOrEqualTo(0.05);
    }

    @Test
    void everyGenusOfTheListIsAKind() {
        for (String line : lines("genera.csv")) {
            String[] parts = line.split(",");
            NameReading<PlantKind> read = GUIDE.names().read(parts[0], parts[1]);
            assertThat(read).as(parts[0]).isNotInstanceOf(NameReading.Unknown.class);
            assertThat(read.meanings())
                    .as(parts[0])
                    .anyMatch(k ->
                            k.names().latin().contains(parts[0]) || k.group().equals(parts[1]));
        }
    }

    private static List<String> lines(String file) {
        try (InputStream in = AdviceAnswersTest.class.getResourceAsStream("/advice/" + file)) {
            List<String> lines = new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
            return lines.subList(1, lines.size());
        } catch (IOException e) {
            throw new AssertionError(file, e);
        }
    }
}
