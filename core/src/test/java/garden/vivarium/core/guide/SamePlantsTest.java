package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class SamePlantsTest {

    private static final Guide GUIDE = Guide.load();

    private static StockNames.Standing<String> plant(String name, String kind) {
        return new StockNames.Standing<>(name, name, kind, "soft");
    }

    @Test
    void aBareNameBesideTheOnlyOtherOfItsKindSeemsTheSame() {
        assertThat(SamePlants.among(
                        GUIDE,
                        List.of(
                                plant("Fuchsia", "fuchsia"),
                                plant("Fuchsia ‘Skerry Lantern’", "fuchsia"),
                                plant("Rosemary ‘Bollard’", "rosemary"))))
                .containsExactly(new SamePlants.Pair<>("Fuchsia", "Fuchsia ‘Skerry Lantern’"));
    }

    @Test
    void besideSeveralOfItsKindNobodyKnowsWhich() {
        assertThat(SamePlants.among(
                        GUIDE,
                        List.of(
                                plant("Fuchsia", "fuchsia"),
                                plant("Fuchsia ‘Skerry Lantern’", "fuchsia"),
                                plant("Fuchsia ‘Slack Tide’", "fuchsia"))))
                .isEmpty();
    }

    @Test
    void theSameWordsOtherwiseWrittenSeemTheSame() {
        assertThat(SamePlants.among(
                        GUIDE,
                        List.of(plant("Fuchsia ‘Skerry Lantern’", "fuchsia"), plant("skerry lantern, fuchsias", ""))))
                .containsExactly(new SamePlants.Pair<>("skerry lantern, fuchsias", "Fuchsia ‘Skerry Lantern’"));
        assertThat(SamePlants.among(GUIDE, List.of(plant("Sage ‘Two’", "sage"), plant("Sage ‘Three’", "sage"))))
                .isEmpty();
    }
}
