package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.guide.Protocol.Stage;
import garden.vivarium.core.guide.Protocol.When;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.watch.StageClock.Said;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class StageClockTest {

    private static final LocalDate STUCK = LocalDate.of(2026, 3, 1);
    private static final Stage WAKE = seen("wake", 28, 14, true);
    private static final Stage WATER = seen("water", 10, 5, false);
    private static final Stage FEED = new Stage("feed", Prose.of("Feed"), Optional.of(21), Optional.empty(), false);

    private static Stage seen(String key, int first, int every, boolean clock) {
        return new Stage(
                key,
                Prose.of("Do " + key),
                Optional.empty(),
                Optional.of(new When(Prose.of("Seen?"), first, every)),
                clock);
    }

    @Test
    void withoutStagesNothingIsDueAndTheClockRunsFromTheDayStuck() {
        StageClock clock = StageClock.of(List.of(), STUCK, List.of());

        assertThat(clock.next()).isEmpty();
        assertThat(clock.due()).isEmpty();
        assertThat(clock.clock()).contains(STUCK);
        assertThat(clock.isAsleep()).isFalse();
    }

    @Test
    void aSleepingBatchHasNoClockUntilItWakes() {
        StageClock asleep = StageClock.of(List.of(WAKE, FEED), STUCK, List.of());
        assertThat(asleep.isAsleep()).isTrue();
        assertThat(asleep.due()).contains(STUCK.plusDays(28));

        LocalDate woke = STUCK.plusDays(60);
        StageClock awake = StageClock.of(List.of(WAKE, FEED), STUCK, List.of(new Said("wake", woke, true)));
        assertThat(awake.clock()).contains(woke);
        assertThat(awake.next()).contains(FEED);
        assertThat(awake.due()).contains(woke.plusDays(21));
    }

    @Test
    void notYetIsAskedAgainAfterTheInterval() {
        LocalDate asked = STUCK.plusDays(11);
        StageClock clock = StageClock.of(List.of(WATER, FEED), STUCK, List.of(new Said("water", asked, false)));

        assertThat(clock.next()).contains(WATER);
        assertThat(clock.due()).contains(asked.plusDays(5));
        assertThat(clock.clock()).contains(STUCK);
    }

    @Test
    void laterStagesCountFromTheDayTheEarlierOneWasDone() {
        LocalDate watered = STUCK.plusDays(33);
        StageClock clock = StageClock.of(
                List.of(WATER, FEED),
                STUCK,
                List.of(new Said("water", STUCK.plusDays(20), false), new Said("water", watered, true)));

        assertThat(clock.next()).contains(FEED);
        assertThat(clock.since()).isEqualTo(watered);
        assertThat(clock.due()).contains(watered.plusDays(21));
        assertThat(StageClock.of(
                                List.of(WATER, FEED),
                                STUCK,
                                List.of(new Said("water", watered, true), new Said("feed", watered.plusDays(22), true)))
                        .next())
                .isEmpty();
    }

    @Test
    void aStageGoesEitherByDaysOrByWhatIsSeen() {
        assertThatThrownBy(() -> new Stage("x", Prose.of("Do"), Optional.empty(), Optional.empty(), false))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("either by days or by what is seen");
    }
}
