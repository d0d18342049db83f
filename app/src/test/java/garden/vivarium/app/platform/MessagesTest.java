package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.timing.LookKind;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.context.i18n.LocaleContextHolder;

/** Words come from one place, and a word without its figure is a fault, not a hole in a sentence. */
class MessagesTest {

    private static final Language ENGLISH = Language.shipped().get(Locale.ENGLISH);

    private final Messages messages = new Messages();

    static Stream<String> everyKey() {
        return ENGLISH.keys().stream().sorted();
    }

    @Test
    void everyMessageIsWellFormedAndItsPlaceholdersHaveNamesOrPlaces() {
        assertThat(everyKey()).allSatisfy(key -> {
            String pattern = ENGLISH.pattern(key);
            assertThat(pattern)
                    .as(key)
                    .isNotBlank()
                    .doesNotContain("'", "%d", "%s", "\\")
                    .doesNotContainPattern("number, [0#]");
            assertThat(new MessageFormat(pattern, ULocale.UK).getArgumentNames())
                    .as(key)
                    .allSatisfy(name -> assertThat(name).matches("[a-z][A-Za-z]*(_(full|number|span))?|\\d"));
        });
    }

    @Test
    void whatIsSaidInTheSourcesHasItsWordsAndNoWordsLieUnused() throws IOException {
        String sources = textsBelow("src/main/java") + textsBelow("src/main/resources/templates");
        List<String> said = Pattern.compile("(?:Messages\\.text|(?:words|messages)\\.say)\\(\\s*[\"']([\\w.]+)[\"']")
                .matcher(sources)
                .results()
                .map(m -> m.group(1))
                .filter(key -> !key.endsWith("."))
                .toList();

        assertThat(said).hasSizeGreaterThan(200);
        assertThat(said).allSatisfy(key -> assertThat(messages.has(key)).as(key).isTrue());
        assertThat(Pattern.compile("#\\{(\\w+\\.[\\w.-]+)")
                        .matcher(sources)
                        .results()
                        .map(m -> m.group(1)))
                .hasSizeGreaterThan(1000)
                .allSatisfy(key -> assertThat(messages.has(key)).as(key).isTrue());
        Set<String> quoted = Pattern.compile("(?:[\"']\\{?|#\\{)([\\w.-]+)(?=[\"'(}])")
                .matcher(sources)
                .results()
                .map(m -> m.group(1))
                .collect(Collectors.toSet());
        assertThat(everyKey()
                        .filter(k -> !isOfARule(k) && !quoted.contains(k) && !quoted.contains(family(k)))
                        .toList())
                .isEmpty();
    }

    /** Those of constants, and of the core's rules are named by its enums, and held to them in WordsTest. */
    private static boolean isOfARule(String key) {
        return key.startsWith("script.") || key.matches("(\\w+\\.)+[A-Z_0-9]+(\\.figures|\\.remedy|\\.full)?");
    }

    @Test
    void whatScriptsSayIsThereAndAllOfItIsSaid() throws IOException {
        String scripts = textsBelow("src/main/web/js");
        Set<String> said = Pattern.compile(
                        "(?:message|told|counted)\\((?:[^(){}\\n]*?\\? )?\"([\\w.-]+)\"(?: : \"([\\w.-]+)\")?")
                .matcher(scripts)
                .results()
                .flatMap(m -> Stream.of(m.group(1), m.group(2)))
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
        Set<String> there = messages.below("script.").keySet().stream()
                .map(k -> k.replaceFirst("\\.(one|other)$", ""))
                .filter(k -> !k.matches("reading\\.[A-Z_]+"))
                .collect(Collectors.toSet());

        assertThat(said).hasSizeGreaterThan(90);
        assertThat(there).containsExactlyInAnyOrderElementsOf(said);
    }

    /** Of keys that are put together from a name, as "guide.hormone." and a constant. */
    private static String family(String key) {
        return key.substring(0, key.lastIndexOf('.') + 1);
    }

    private static String textsBelow(String folder) throws IOException {
        try (Stream<Path> files = Files.walk(Path.of(folder))) {
            StringBuilder all = new StringBuilder();
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                all.append(Files.readString(file));
            }
            return all.toString();
        }
    }

    @Test
    void pluralsAndNumbersAreWrittenOneWayOnAnyMachine() {
        assertThat(messages.say("guide.warmth.for", "warmth", "5 °C", "weeks", 1))
                .isEqualTo("5 °C for 1 week");
        assertThat(messages.say("guide.warmth.for", "warmth", "5 °C", "weeks", 1200))
                .isEqualTo("5 °C for 1,200 weeks");
        assertThat(messages.say("Dilution.RATE_TIMES_LITRES.figures", "rate", 7.5, "litres", 1200, "stock", -7.5))
                .as("with the minus of the formulas")
                .isEqualTo("7.5 mL × 1,200 L = −7.5 mL");
        assertThat(messages.say("Batches.nothing.stands.ready.log", "code", "26w38-B"))
                .contains("26w38-B");
    }

    /** Whether or not comes to a sentence as yes and no: a choice of true and false would always take the other words. */
    @Test
    void noSentenceChoosesByTrueAndFalse() throws IOException {
        assertThat(textsBelow("src/main/resources/messages")).doesNotContainPattern("\\b(true|false) ?\\{");
    }

    @Test
    void aTieIsRoundedUpAsEverywhere() {
        assertThat(messages.say("StrikeRate.GUIDE.figures", "rate", 0.585, "weight", 0.25))
                .isEqualTo("59% × 0.3");
        assertThat(messages.say("TaskFinder.FIRST_LOOK", "slower", 1.0))
                .as("a whole number stays what it is, for a choice")
                .isEqualTo("The protocol’s day");
    }

    @Test
    void aLackingKeyAndALackingFigureAreFaults() {
        assertThatThrownBy(() -> messages.say("guide.nothing")).hasMessageContaining("lack guide.nothing");
        assertThatThrownBy(() -> messages.say("guide.apart")).hasMessageContaining("no value for {apart}");
        assertThatThrownBy(() -> messages.say("guide.apart", "apart")).hasMessageContaining("by turns");
    }

    @Test
    void aTemplateShowsNothingForWhatIsNotThere() {
        Object[] none = {null};
        assertThat(messages.getMessage("entry.stands.write-the-label-now", none, Locale.UK))
                .isEqualTo("Write the label now: ");
    }

    @Test
    void whatALanguageSaysIsSaidInItAndWhatGoesIntoFilesIsNot() {
        Way way = new Way("Fuchsia", "soft", "tip cutting", "water", "callus 3 d");
        LocaleContextHolder.setLocale(Locale.forLanguageTag(PseudoLanguage.TAG));
        try {
            assertThat(Messages.name(LookKind.TUG)).doesNotContain("tug").startsWith("à ĝéñţļé");
            assertThat(WayWords.of(way)).contains("tip cutting", "îñ").doesNotContain("callus");
            assertThat(way.written()).isEqualTo("tip cutting in water, callus 3 d");
        } finally {
            LocaleContextHolder.resetLocaleContext();
        }
        assertThat(WayWords.of(way)).isEqualTo(way.written());
    }
}
