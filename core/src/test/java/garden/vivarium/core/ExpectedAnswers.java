package garden.vivarium.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.stream.Collectors;

/** Answers that were written down before the code that gives them, by name: {@code worked-values.csv}. */
public final class ExpectedAnswers {

    private static final Map<String, double[]> ANSWERS = read();

    private ExpectedAnswers() {}

    /** Asserts that an answer is the one written down, to the figures written down with it. */
    public static void assertAnswer(String name, double answer) {
        double[] expected = ANSWERS.get(name);
        assertThat(expected).as("an answer named “%s”", name).isNotNull();
        assertThat(answer).as(name).isCloseTo(expected[0], within(expected[1]));
    }

    private static Map<String, double[]> read() {
        try (InputStream in = ExpectedAnswers.class.getResourceAsStream("worked-values.csv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(l -> !l.startsWith("#"))
                    .map(l -> l.split(","))
                    .collect(Collectors.toMap(
                            c -> c[0], c -> new double[] {Double.parseDouble(c[1]), Double.parseDouble(c[2])}));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
