package garden.vivarium.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class WaitInWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Let them dry for an hour; shake in a bag with damp vermiculite. | PT1H",
                "Soak the roots for ten minutes so that they bend. | PT10M",
                "Soak 20 min in rain water | PT20M",
                "Dip for 5 seconds, five at a time | PT5S",
                "dip 5 s | PT5S",
                "Drain half an hour | PT30M",
                "Hot water, 43.5 °C, for 3 h | PT3H",
                "Let the ends dry in shade overnight. | PT12H",
                "Let latex run for a quarter of an hour | PT15M",
                "Let them dry an hour. | PT1H",
                "Soak 1,5 hours | PT1H30M"
            })
    void theWaitOfAStepIsReadFromItsSentence(String step, String wait) {
        assertThat(WaitInWords.in(step)).hasToString("Optional[" + wait + "]");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Cut below a node with a clean blade.",
                "Cut 8 cm from the tip; 3 mm below a joint.",
                "Dry for 7 days in shade",
                "Give 12 hours of lamp",
                "Stick 4 cm apart",
                "Soak 0 min",
                "wait 60 hours"
            })
    void whatIsNoWaitToStandBesideIsNotReadAsOne(String step) {
        assertThat(WaitInWords.in(step)).isEmpty();
    }

    @Test
    void ofSeveralWaitsTheFirstIsTaken() {
        assertThat(WaitInWords.in("Soak 10 min, drain 20 min")).hasToString("Optional[PT10M]");
    }
}
