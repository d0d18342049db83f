package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;

import garden.vivarium.app.demo.DemoNursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.people.People;
import garden.vivarium.app.platform.OnDatabase;
import garden.vivarium.app.platform.PseudoLanguage;
import garden.vivarium.app.platform.Role;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.treatment.Handling;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.TextNode;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;

/**
 * Every page of the sample nursery as it is read in a language of accents: a word without any came from no message. Left alone is what the
 * guide's data say and what people typed.
 */
@OnDatabase
@Order(3)
class EveryPageInAnotherLanguageTest {

    private static final int ALIKE = 1;
    private static final int DESK = 1280;
    private static final int PHONE = 390;

    private static final Pattern PLAIN_WORD = Pattern.compile("(?<![\\p{L}\\d-])[A-Za-z]{2,}(?![\\p{L}\\d-])");

    @LocalServerPort
    private int port;

    @Autowired
    private People people;

    @Autowired
    private DemoNursery demo;

    @Autowired
    private MockMvc pages;

    @Test
    void noPlainWordStandsOnAPageButWhatPeopleTypedAndNoPageBreaks() throws IOException {
        // A sample of its own: how batches stand is kept for all readers of a nursery, in the language of whoever asked
        // first.
        Nurseries.Made nursery = Nurseries.make(people);
        demo.fill(nursery.id());
        SignedIn reader =
                new SignedIn(UUID.randomUUID(), nursery.id(), "reader", "Ŕéàđéŕ", "", Role.OWNER, UnitSystem.METRIC);
        Pattern typed = typed();
        Map<String, TreeSet<String>> plain = new TreeMap<>();
        Map<String, Document> all = new SamplePages(path -> read(path, reader)).all(ALIKE);
        for (Map.Entry<String, Document> page : all.entrySet()) {
            for (String text : texts(page.getValue())) {
                // Most have no plain word at all; what people typed is many thousand texts to look for.
                if (PLAIN_WORD.matcher(text).find()
                        && PLAIN_WORD
                                .matcher(typed.matcher(text).replaceAll(" "))
                                .find()) {
                    plain.computeIfAbsent(SamplePages.kind(page.getKey()), k -> new TreeSet<>())
                            .add(text);
                }
            }
        }
        StringBuilder found = new StringBuilder();
        plain.forEach((page, texts) ->
                texts.forEach(t -> found.append(page).append(" | ").append(t).append('\n')));
        Files.writeString(Path.of("target/plain-words.txt"), found);
        assertThat(all).hasSizeGreaterThan(60);
        assertThat(plain).isEmpty();
        assertThat(wider(nursery, all.keySet())).as("wider than the screen").isEmpty();
    }

    /** Pages that words a third longer make wider than the screen, at a desk or on a phone. */
    private List<String> wider(Nurseries.Made nursery, Set<String> pages) {
        List<String> wider = new ArrayList<>();
        try (Browser browser = new Browser(port)) {
            browser.reads(PseudoLanguage.TAG);
            browser.signIn(nursery.signIn(), Nurseries.PASSWORD);
            Set<String> seen = new HashSet<>();
            for (String page : pages) {
                if (page.startsWith("/door") || !seen.add(SamplePages.kind(page))) {
                    continue;
                }
                browser.open(page);
                if (browser.width() > DESK) {
                    wider.add(page + " at a desk: " + browser.width());
                }
                browser.size(PHONE, 844, true);
                if (browser.width() > PHONE) {
                    wider.add(page + " on a phone: " + browser.width());
                }
                browser.size(DESK, 800, false);
            }
        }
        return wider;
    }

    private Optional<String> read(String path, SignedIn reader) {
        if (path.startsWith("/door")) {
            return Optional.empty();
        }
        try {
            MockHttpServletResponse answer = pages.perform(
                            get(path).with(user(reader)).header("Accept-Language", PseudoLanguage.TAG))
                    .andReturn()
                    .getResponse();
            assertThat(answer.getStatus()).as(path).isLessThan(500);
            return Optional.ofNullable(answer.getContentType())
                    .filter(t -> t.startsWith("text/html"))
                    .map(t -> new String(answer.getContentAsByteArray(), StandardCharsets.UTF_8));
        } catch (Exception e) {
            throw new IllegalStateException(path, e);
        }
    }

    private static List<String> texts(Document page) {
        page.select("script, style, textarea, datalist, code, kbd").remove();
        Stream<String> said = page.select("[aria-label], [title], [alt], [placeholder]").stream()
                .flatMap(e -> Stream.of(e.attr("aria-label"), e.attr("title"), e.attr("alt"), e.attr("placeholder")));
        Stream<String> shown = page.getAllElements().stream()
                .map(Element::textNodes)
                .flatMap(List::stream)
                .map(TextNode::text);
        return Stream.concat(said, shown)
                .map(String::strip)
                .filter(t -> !t.isEmpty())
                .toList();
    }

    private static void add(TreeSet<String> texts, String written, String file) {
        Matcher text = Pattern.compile(written).matcher(file);
        while (text.find()) {
            texts.add(text.group().strip());
        }
    }

    /** All texts of the guide and of the sample, the longest first; and names of days and months. */
    private static Pattern typed() throws IOException {
        TreeSet<String> texts =
                new TreeSet<>(Comparator.comparing(String::length).reversed().thenComparing(t -> t));
        try (Stream<Path> files = Files.walk(Path.of("../core/src/main/resources/garden/vivarium/core/guide"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".yaml")).toList()) {
                add(texts, "[^\\[\\]{},:\\n\"]+", Files.readString(file));
                add(texts, "(?<=: |- )[^\\[\\]{}\\n\"]+", Files.readString(file));
                // Between measured figures, which are told in the reader's units.
                add(texts, "[^\\[\\]{},:\\n\"<>]+", Files.readString(file));
            }
        }
        add(texts, "[^\\[\\]{},:\\n\"']+", Files.readString(Path.of("src/main/resources/demo/cold-slipway.yaml")));
        try (Stream<Path> files = Files.walk(Path.of("src/main/java/garden/vivarium/app/demo"))) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                add(texts, "(?<=\")[^\"\\n]+(?=\")", Files.readString(file));
            }
        }
        Currency.getAvailableCurrencies().forEach(c -> {
            texts.add(c.getDisplayName(Locale.forLanguageTag(PseudoLanguage.TAG)));
            texts.add(c.getCurrencyCode());
        });
        // What batches were, as they are compared: told in words of English yet, since they are kept for all readers.
        texts.addAll(List.of("winter", "spring", "summer", "autumn", "warm from below", "no warmth from below"));
        // As people write them, offered to be written so.
        Stream.of(Handling.values()).forEach(h -> texts.add(h.written()));
        // Said once, when it was done.
        texts.add("copied from");
        texts.addAll(List.of("Grower", "Nursery of", "Vivarium", "http://localhost", "printed", "--lan"));
        Guide.load().groups().forEach(g -> texts.add(g.words()));
        texts.removeIf(t -> t.length() < 3 || !t.matches(".*[A-Za-z].*"));
        String any = String.join("|", texts.stream().map(Pattern::quote).toList());
        return Pattern.compile(
                "(?i)(?<!\\p{L})(?:" + any
                        + "|(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun)|(?:Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)|January|February|March|April|May|June|July|August|September|October|November|December)(?!\\p{L})");
    }
}
