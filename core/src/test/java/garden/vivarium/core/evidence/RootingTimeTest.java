package garden.vivarium.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

class RootingTimeTest {

    private static final Offset<Double> SIX_FIGURES = within(6e-7);

    @Test
    void withoutAPriorHoldsItsWorkedValue() {
        RootingTime time = RootingTimeFit.fit(all(WorkedValues.ALL_READY, 35), 3, 0.5, 0);

        assertThat(time.mu()).isCloseTo(2.722599, SIX_FIGURES);
        assertThat(time.sigma()).isCloseTo(0.540853, SIX_FIGURES);
        assertThat(time.reaching()).isEqualTo(1);
        assertThat(time.logLikelihood()).isCloseTo(-13.702951, within(1e-6));
        assertThat(time.day(0.1)).isCloseTo(7.610, within(5e-4));
        assertThat(time.day(0.5)).isCloseTo(15.220, within(5e-4));
        assertThat(time.day(0.9)).isCloseTo(30.439, within(5e-4));
    }

    @Test
    void aWindowIsALogNormal() {
        Window window = new Window(7.5, 30);

        assertThat(window.mu()).isCloseTo(2.708050, SIX_FIGURES);
        assertThat(window.sigma()).isCloseTo(0.540866, SIX_FIGURES);
        RootingTime guide = RootingTime.ofGuide(window);
        assertThat(guide.window().d10()).isCloseTo(7.5, within(1e-9));
        assertThat(guide.window().d90()).isCloseTo(30, within(1e-9));
    }

    @Test
    void theGuidePullsAsEightPieces() {
        Window guide = new Window(10, 50);

        RootingTime time = RootingTimeFit.fit(all(WorkedValues.ALL_READY, 35), guide.mu(), guide.sigma(), 8);

        assertThat(time.mu()).isCloseTo(2.907332, SIX_FIGURES);
        assertThat(time.sigma()).isCloseTo(0.616811, SIX_FIGURES);
    }

    @Test
    void thoseThatNeverRootAreAShareNotATail() {
        RootingTime time = RootingTimeFit.fit(all(WorkedValues.TWO_CAUSES, 28), 3, 0.5, 0);

        assertThat(time.reaching()).isCloseTo(0.726875, SIX_FIGURES);
        assertThat(time.mu()).isCloseTo(2.820219, SIX_FIGURES);
        assertThat(time.sigma()).isCloseTo(0.262377, SIX_FIGURES);
        assertThat(time.logLikelihood()).isCloseTo(-30.441344, within(1e-6));
    }

    @Test
    void aBatchThatWeighsHalfCountsHalf() {
        RootingTime whole = RootingTimeFit.fit(all(WorkedValues.TWO_CAUSES, 28), 3, 0.5, 8);
        RootingTime twice = RootingTimeFit.fit(
                List.of(
                        new TimedBatch(WorkedValues.TWO_CAUSES, 28, 0.5),
                        new TimedBatch(WorkedValues.TWO_CAUSES, 28, 0.5)),
                3,
                0.5,
                8);

        assertThat(twice.mu()).isCloseTo(whole.mu(), within(1e-6));
        assertThat(twice.pieces()).isCloseTo(whole.pieces(), within(1e-9));
    }

    @Test
    void borrowingSkipsEmptyLevelsAndHandsOnAtALesserStrength() {
        Window guide = new Window(10, 50);
        List<TimedBatch> batches = all(WorkedValues.ALL_READY, 35);

        RootingTime own = RootingTimeFit.borrow(guide, List.of(List.of(), batches));
        RootingTime neighbours = RootingTimeFit.borrow(guide, List.of(batches, List.of()));

        assertThat(own.mu()).isCloseTo(2.907332, SIX_FIGURES);
        assertThat(own.guideWeight()).isEqualTo(8);
        assertThat(neighbours.mu()).isCloseTo(own.mu(), within(1e-12));
        assertThat(neighbours.guideWeight() + neighbours.pieces()).isCloseTo(17 / 2.7, within(1e-9));
    }

    @Test
    void abatchWithNothingPendingIsAsOldAsToday() {
        Tallies done = Tallies.of(List.of(Interval.reached(7, 14), Interval.lost(7, 14)));
        Tallies running = Tallies.of(List.of(Interval.reached(7, 14), Interval.pending(21), Interval.pending(14)));

        assertThat(TimedBatch.of(done, 90, 0.1).lastLook()).isEqualTo(90);
        assertThat(TimedBatch.of(running, 90, 0.1).lastLook()).isEqualTo(21);
        assertThat(TimedBatch.of(done, 90, 0.1).weight()).isCloseTo(1 / 1.1, within(1e-12));
    }

    @Test
    void outOfSeasonIsSlowerByAFactor() {
        RootingTime slow = RootingTime.ofGuide(new Window(10, 40)).slowedBy(1.5);

        assertThat(slow.window().d10()).isCloseTo(15, within(1e-9));
        assertThat(slow.window().d90()).isCloseTo(60, within(1e-9));
    }

    @Test
    void windowsThatRunBackwardsAreRefused() {
        assertThatThrownBy(() -> new Window(20, 20)).hasMessageContaining("0 < d10 < d90");
    }

    private static List<TimedBatch> all(Tallies tallies, int lastLook) {
        return List.of(new TimedBatch(tallies, lastLook, 1));
    }
}
