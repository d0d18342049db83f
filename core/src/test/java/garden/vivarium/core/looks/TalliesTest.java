package garden.vivarium.core.looks;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class TalliesTest {

    private static final Tallies SOME = Tallies.of(Map.of(
            Interval.reached(0, 7),
            3L,
            Interval.reached(7, 14),
            2L,
            Interval.lost(7, 21),
            1L,
            Interval.pending(14),
            4L));

    @Test
    void theDaysKnownAreAllEndsOfWhatHappenedAndTheLastLooksAtWhatWaits() {
        assertThat(SOME.daysKnown()).containsExactly(7, 14, 21);
        assertThat(Tallies.of(List.of(Interval.pending(0))).daysKnown()).isEmpty();
        assertThat(Tallies.none().daysKnown()).isEmpty();
        assertThat(SOME.lastDay()).isEqualTo(21);
    }

    @Test
    void talliesAreWhatTheyCount() {
        Tallies same = Tallies.pooled(List.of(
                Tallies.of(Map.of(Interval.reached(0, 7), 1L, Interval.pending(14), 4L)),
                Tallies.of(Map.of(Interval.reached(0, 7), 2L, Interval.reached(7, 14), 2L, Interval.lost(7, 21), 1L))));

        assertThat(same).isEqualTo(SOME).hasSameHashCodeAs(SOME).hasToString(SOME.toString());
        assertThat(SOME).isNotEqualTo(Tallies.none()).isNotEqualTo("tallies");
        assertThat(SOME.hashCode()).isEqualTo(SOME.counts().hashCode()).isNotZero();
        assertThat(SOME.toString()).contains("4");
        assertThat(SOME.isEmpty()).isFalse();
        assertThat(Tallies.none().isEmpty()).isTrue();
        assertThat(SOME.total()).isEqualTo(10);
        assertThat(SOME.total(Outcome.REACHED)).isEqualTo(5);
    }

    @Test
    void aCountOfNoneIsNoTallyAndOneBelowItIsRefused() {
        assertThat(Tallies.of(Map.of(Interval.pending(3), 0L))).isEqualTo(Tallies.none());
        assertThatThrownBy(() -> Tallies.of(Map.of(Interval.pending(3), -1L))).hasMessageContaining("below 0");
    }

    @Test
    void whatIsClosedIsGivenUpAndNothingElseChanges() {
        assertThat(SOME.closed().total(Outcome.PENDING)).isZero();
        assertThat(SOME.closed().total(Outcome.GIVEN_UP)).isEqualTo(4);
        assertThat(SOME.closed().total(Outcome.REACHED)).isEqualTo(5);
        Tallies closed = SOME.closed();
        assertThat(closed.closed()).isSameAs(closed);
    }

    @Test
    void whereDayZeroIsUnsureSpansAreWiderByThat() {
        Tallies seen =
                Tallies.of(Map.of(Interval.reached(10, 14), 3L, Interval.lost(2, 4), 1L, Interval.pending(14, 20), 5L));

        assertThat(seen.unsureBy(3))
                .isEqualTo(Tallies.of(
                        Map.of(Interval.reached(7, 17), 3L, Interval.lost(0, 7), 1L, Interval.pending(11, 17), 5L)));
        assertThat(seen.unsureBy(0)).isSameAs(seen);
        assertThat(Interval.pending(2, 4).unsureBy(9)).isEqualTo(Interval.pending(0));
        assertThat(seen.unsureBy(3).total()).isEqualTo(seen.total());
    }
}
