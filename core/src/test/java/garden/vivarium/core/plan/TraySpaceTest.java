package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TraySpaceTest {

    private static final LocalDate DAY = LocalDate.of(2026, 4, 1);
    private static final TraySpace BENCH = new TraySpace(
            3,
            List.of(
                    new TraySpace.Stay("one", DAY, DAY.plusDays(10), 2),
                    new TraySpace.Stay("other", DAY.plusDays(5), DAY.plusDays(12), 1)));

    @ParameterizedTest
    @CsvSource({"-1, 0", "0, 2", "5, 3", "9, 3", "10, 1", "12, 0"})
    void whatStandsThereIsAddedUpByTheDay(int day, double trays) {
        assertThat(BENCH.on(DAY.plusDays(day))).isEqualTo(trays);
    }

    @Test
    void theFirstDaysOnWhichItDoesNotFitAreSaid() {
        assertThat(BENCH.firstOverfull(DAY, DAY.plusDays(30))).as("just full").isEmpty();
        TraySpace more = BENCH.and(List.of(new TraySpace.Stay("third", DAY.plusDays(8), DAY.plusDays(20), 1.5)));

        assertThat(more.firstOverfull(DAY, DAY.plusDays(30)))
                .isEqualTo(Optional.of(new TraySpace.Overfull(DAY.plusDays(8), DAY.plusDays(9), 1.5)));
        assertThat(more.firstOverfull(DAY.plusDays(10), DAY.plusDays(30))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1, 0.25", "15, 0.25", "16, 0.5", "60, 1", "61, 1.25", "0, 0"})
    void loosePiecesAreCountedInQuarters(int pieces, double trays) {
        assertThat(TraySpace.traysFor(pieces)).isEqualTo(trays);
    }

    @Test
    void piecesMakeRoomForPotsUntilTheySettle() {
        Expected expected = new Expected(
                DAY,
                Optional.empty(),
                DAY,
                Optional.empty(),
                new Expected.Band(DAY.plusDays(20), DAY.plusDays(30)),
                Optional.of(new Expected.Band(DAY.plusDays(34), DAY.plusDays(44))));
        List<TraySpace.Stay> stays = TraySpace.stays("tips", expected, 1, 30);

        assertThat(stays)
                .containsExactly(
                        new TraySpace.Stay("tips", DAY, DAY.plusDays(31), 1),
                        new TraySpace.Stay("tips, potted", DAY.plusDays(31), DAY.plusDays(45), 1.5));
        assertThat(stays.get(0).trayDays()).isEqualTo(31);
        assertThat(stays.get(1).trayDays()).isEqualTo(21);
        assertThat(TraySpace.stays("tips", expected, 1, 0)).hasSize(1);
    }

    @Test
    void aPlaceThatHoldsNothingIsRefused() {
        assertThatThrownBy(() -> new TraySpace(0, List.of())).hasMessageContaining("more than no tray");
    }
}
