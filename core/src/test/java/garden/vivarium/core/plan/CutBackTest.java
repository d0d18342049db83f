package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CutBackTest {

    @ParameterizedTest
    @CsvSource({
        "soft, 119, false",
        "soft, 120, true",
        "bedding, 100, true",
        "woody, 149, false",
        "woody, 150, true",
        "cactus, 900, false",
        "clumping-orchid, 300, false",
        "bulb, 300, false"
    })
    void onlyTallEnoughAndOnlyWhatBranches(String group, int heightMm, boolean due) {
        assertThat(CutBack.due(group, heightMm).isPresent()).isEqualTo(due);
    }
}
