package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.util.Locale;
import java.util.ResourceBundle;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Words with figures come from one file, and a word without its figure is a fault, not a hole in a sentence. */
class MessagesTest {

    private final Messages messages = new Messages();

    static Stream<String> everyKey() {
        return ResourceBundle.getBundle("messages", Locale.ROOT).keySet().stream()
                .sorted();
    }

    @ParameterizedTest
    @MethodSource("everyKey")
    void everyMessageIsWellFormedAndItsPlaceholdersHaveNames(String key) {
        String pattern = ResourceBundle.getBundle("messages", Locale.ROOT).getString(key);

        assertThat(pattern).isNotBlank().doesNotContain("'", "%d", "%s", "number, ");
        assertThat(new MessageFormat(pattern, ULocale.UK).getArgumentNames())
                .allSatisfy(name -> assertThat(name).matches("[a-z][A-Za-z]*"));
    }

    @Test
    void pluralsAndNumbersAreWrittenOneWayOnAnyMachine() {
        assertThat(messages.say("guide.warmth.for", "range", "5 °C", "weeks", 1))
                .isEqualTo("5 °C for 1 week");
        assertThat(messages.say("guide.warmth.for", "range", "5 °C", "weeks", 1200))
                .isEqualTo("5 °C for 1,200 weeks");
        assertThat(messages.say("guide.apart", "cm", 7.5)).isEqualTo("7.5 cm apart");
    }

    @Test
    void aTieIsRoundedUpAsEverywhere() {
        assertThat(messages.say("StrikeRate.GUIDE.figures", "rate", 0.585, "weight", 0.25))
                .isEqualTo("59% × 0.3");
    }

    @Test
    void aLackingKeyAndALackingFigureAreFaults() {
        assertThatThrownBy(() -> messages.say("guide.nothing")).hasMessageContaining("lacks guide.nothing");
        assertThatThrownBy(() -> messages.say("guide.apart")).hasMessageContaining("no value for {cm}");
        assertThatThrownBy(() -> messages.say("guide.apart", "cm")).hasMessageContaining("by turns");
    }
}
