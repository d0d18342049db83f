package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.Establishment.Move;
import garden.vivarium.core.evidence.Establishment.Seen;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.looks.Tallies;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class EstablishmentTest {

    @Test
    void whatSettledDidSoBetweenTwoLooks() {
        Tallies times = Establishment.times(12, List.of(new Seen(14, 7, 1), new Seen(5, 2, 0)));

        assertThat(times.counts())
                .isEqualTo(Map.of(
                        Interval.reached(0, 5), 2L,
                        Interval.reached(5, 14), 5L,
                        Interval.lost(5, 14), 1L,
                        Interval.pending(14), 4L));
        assertThat(times.total()).isEqualTo(12);
    }

    @Test
    void aSettledPlantStaysSettledAndOnOneDayTheLookThatSawMoreStands() {
        Tallies times = Establishment.times(4, List.of(new Seen(5, 3, 0), new Seen(5, 1, 0), new Seen(9, 2, 0)));

        assertThat(times.counts()).isEqualTo(Map.of(Interval.reached(0, 5), 3L, Interval.pending(9), 1L));
        assertThatThrownBy(() -> Establishment.times(4, List.of(new Seen(5, 3, 2))))
                .hasMessageContaining("3 hold and 2 are lost, of 4");
    }

    @Test
    void aLookOnTheDayOfTheMoveCounts() {
        assertThat(Establishment.times(3, List.of(new Seen(0, 3, 0))).total(Outcome.REACHED))
                .isEqualTo(3);
    }

    /** Guide 0.9 for four pieces: α = 3.6, β = 0.4. Two moves of 10, ρ = 0: 8 and 6 settled, so α = 17.6, β = 6.4: 0.7333. */
    @Test
    void theRateBorrowsFromTheGuideAndTheMedianFromTheLooks() {
        Establishment found = Establishment.of(
                0.9,
                List.of(
                        new Move(10, 8, Establishment.times(10, List.of(new Seen(10, 8, 2)))),
                        new Move(10, 6, Establishment.times(10, List.of(new Seen(20, 6, 4))))),
                0);

        assertThat(found.rate().mean()).isCloseTo(0.7333333, within(1e-6));
        assertThat(found.moves()).isEqualTo(2);
        assertThat(found.setUp()).isEqualTo(20);
        assertThat(found.settled()).isEqualTo(14);
        assertThat(found.median().orElseThrow().by()).isBetween(10, 20);
    }

    @Test
    void withoutMovesTheGuideSpeaks() {
        Establishment none = Establishment.of(0.9, List.of(), 0.05);

        assertThat(none.rate().mean()).isCloseTo(0.9, within(1e-12));
        assertThat(none.median()).isEmpty();
    }
}
