package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** Templates hold no words; what they decide is counted, and only becomes less. */
class TemplatesTest {

    private static final Path ALL = Path.of("src/main/resources/templates");

    /** Sent as they are when nothing else can be relied on: no message, no session, no engine. */
    private static final Set<String> SENT_AS_THEY_ARE =
            Set.of("out-of-order.html", "disk-full.html", "broken.html", "database-gone.html");

    private static final int MOST_LONG_LINES = 48;
    private static final int MOST_COMPARISONS_WITH_A_STRING = 0;
    private static final int MOST_EXPRESSIONS_OF_MANY_PARTS = 0;

    private static final int LONGEST_LINE = 200;
    private static final int MOST_PARTS = 2;

    private static final Pattern EXPRESSION = Pattern.compile("[$*]\\{((?:[^{}']|'[^']*'|\\{[^{}]*\\})*)\\}");
    private static final Pattern PART = Pattern.compile(
            "\\w\\(|[?](?!\\[|\\.)|(?<![-\\w])[+*/-](?!\\d)|[=!<>]=|(?<![=!<>-])[<>](?!=)|\\b(?:and|or|not|lt|gt|le|ge|eq|ne)\\b|!(?!=)");
    private static final Pattern STRING_COMPARED =
            Pattern.compile("(?:[=!]=|\\b(?:eq|ne)\\b)\\s*'|'\\s*(?:[=!]=|\\b(?:eq|ne)\\b)");

    @Test
    void noWordStandsInATemplate() throws IOException {
        List<String> words = new ArrayList<>();
        for (Path file : templates()) {
            for (Element e : Jsoup.parse(Files.readString(file)).getAllElements()) {
                e.textNodes().stream()
                        .filter(t -> t.text().matches(".*\\p{L}.*"))
                        .forEach(t -> words.add(file.getFileName() + ": " + t.text()));
                Stream.of("placeholder", "title", "aria-label", "alt")
                        .filter(a -> e.attr(a).matches(".*\\p{L}.*"))
                        .forEach(a -> words.add(file.getFileName() + ": " + a + " " + e.attr(a)));
            }
        }
        assertThat(words).isEmpty();
    }

    @Test
    void linesAreShort() throws IOException {
        int longer = 0;
        for (Path file : templates()) {
            longer += (int) Files.readString(file)
                    .lines()
                    .filter(l -> l.length() > LONGEST_LINE)
                    .count();
        }
        assertThat(longer).as("lines over %d", LONGEST_LINE).isLessThanOrEqualTo(MOST_LONG_LINES);
    }

    @Test
    void littleIsDecidedInTemplates() throws IOException {
        int compared = 0;
        int many = 0;
        for (Path file : templates()) {
            String text = Files.readString(file);
            compared += (int) STRING_COMPARED.matcher(text).results().count();
            many += (int) EXPRESSION
                    .matcher(text)
                    .results()
                    .filter(e -> PART.matcher(e.group(1).replaceAll("'[^']*'", "''"))
                                    .results()
                                    .count()
                            > MOST_PARTS)
                    .count();
        }
        assertThat(compared).as("comparisons with a string").isLessThanOrEqualTo(MOST_COMPARISONS_WITH_A_STRING);
        assertThat(many)
                .as("expressions of more than %d parts", MOST_PARTS)
                .isLessThanOrEqualTo(MOST_EXPRESSIONS_OF_MANY_PARTS);
    }

    private static List<Path> templates() throws IOException {
        try (Stream<Path> files = Files.walk(ALL)) {
            return files.filter(f -> f.toString().endsWith(".html"))
                    .filter(f -> !SENT_AS_THEY_ARE.contains(f.getFileName().toString()))
                    .toList();
        }
    }
}
