package garden.vivarium.core.guide;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.Grown;
import garden.vivarium.core.stock.Regrowth;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A shoot is one tip, or its sections. */
class ShootsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

    @ParameterizedTest
    @CsvSource({
        "shoot-tips, 5, 15",
        "stem-sections, 1, 1",
        "stem-sections, 3, 1",
        "stem-sections, 4, 2",
        "shoot-tips, 0, 0"
    })
    void whatIsTakenUsesUpTheOther(String sort, int taken, int gone) {
        assertThat(new Shoots(3).usedUp(sort, taken)).isEqualTo(gone);
    }

    @Test
    void whatIsCountedImpliesTheOther() {
        assertThat(new Shoots(4).implied(Shoots.SECTIONS, 3)).isEqualTo(12);
        assertThat(new Shoots(4).implied(Shoots.TIPS, 11)).isEqualTo(2);
        assertThat(Shoots.other("crowns")).isEmpty();
        assertThat(Shoots.other(Shoots.TIPS)).contains(Shoots.SECTIONS);
        assertThatThrownBy(() -> new Shoots(0)).hasMessageContaining("1 section or more");
    }

    @Test
    void theGuideSaysHowManySectionsAShootGives() {
        Guide guide = Guide.load();

        assertThat(guide.shoots(new Grown("Pothos", "pothos", "climbing-aroid")).sections())
                .as("by kind")
                .isEqualTo(6);
        assertThat(guide.shoots(new Grown("Sage", "sage", "soft")).sections())
                .as("by group")
                .isEqualTo(3);
    }

    @Test
    void regrowthOfTheOtherGoesWithIt() {
        PlantGroup.Rhythm rhythm = new PlantGroup.Rhythm(20, 40, 0.5, false);
        Regrowth tips = Regrowth.of(
                rhythm,
                Optional.of(new Regrowth.Count(DAY, 10)),
                Optional.of(new Regrowth.Harvest(DAY, 4, false)),
                true,
                true);

        Regrowth sections = tips.implying(rhythm, n -> 3 * n);

        assertThat(sections.bears(DAY).orElseThrow().pieces()).isEqualTo(18);
        assertThat(sections.bears(DAY.plusDays(40)).orElseThrow().pieces()).isEqualTo(30);
        assertThat(sections.restsUntil()).isEqualTo(tips.restsUntil());
    }
}
