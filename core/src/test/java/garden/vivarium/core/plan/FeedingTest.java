package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.timing.Hemisphere;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FeedingTest {

    private static final LocalDate JUNE = LocalDate.of(2026, 6, 15);

    @ParameterizedTest
    @CsvSource({"soft, 14, 0.5", "bedding, 10, 0.5", "cactus, 28, 0.25", "clumping-orchid, 14, 0.25", "clump, 14, 0.5"})
    void isWeakerAndRarerForWhatLivesOnLittle(String group, int days, double share) {
        assertThat(Feeding.of(group, JUNE, Hemisphere.NORTH)).hasValue(new Feeding(days, share));
    }

    @Test
    void isLeftWhereItHarmsAndWhileDaysAreShort() {
        assertThat(Feeding.of("insect-eater", JUNE, Hemisphere.NORTH)).isEmpty();
        assertThat(Feeding.of("soft", JUNE, Hemisphere.SOUTH)).isEmpty();
        assertThat(Feeding.of("soft", LocalDate.of(2026, 12, 1), Hemisphere.NORTH))
                .isEmpty();
        assertThat(Feeding.of("soft", LocalDate.of(2026, 12, 1), Hemisphere.SOUTH))
                .isPresent();
        assertThat(Feeding.litres(20, 0.35)).isCloseTo(1.05, within(1e-12));
    }
}
