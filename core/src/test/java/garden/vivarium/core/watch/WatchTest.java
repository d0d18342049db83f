package garden.vivarium.core.watch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.timing.Window;
import garden.vivarium.core.watch.Behind.Judged;
import java.util.List;
import org.junit.jupiter.api.Test;

class WatchTest {

    private static final double REACHING = 41.0 / 56;
    private static final RootingTime TIME = RootingTime.ofGuide(new Window(7.5, 30));
    private static final NextBatch RATE = new StrikeRate(41, 15, 0.08, 0.7, 4, List.of()).nextBatch();

    @Test
    void theNextLookHoldsItsWorkedValues() {
        NextLook soon = NextLook.of(REACHING, TIME, 14, 2, 21);
        assertThat(soon.day()).isEqualTo(21);
        assertThat(soon.chance()).isCloseTo(0.309635, within(5e-7));

        NextLook late = NextLook.of(REACHING, TIME, 28, 3, 14);
        assertThat(late.isWorthIt()).isFalse();
        assertThat(late.day()).isEqualTo(42);
        assertThat(NextLook.chance(REACHING, TIME, 28, 3000)).isCloseTo(0.253521, within(2e-6));
    }

    @Test
    void theNextLookIsHeldBetweenTheProtocolsDays() {
        assertThat(NextLook.of(REACHING, TIME, 14, 9, 21).day()).isEqualTo(23);
        assertThat(NextLook.of(REACHING, TIME, 14, 2, 5).day()).isEqualTo(19);
    }

    @Test
    void stalledHoldsItsWorkedValues() {
        assertThat(Stalled.fromDay(REACHING, TIME)).isEqualTo(46);
        assertThat(Stalled.chanceStill(REACHING, TIME, 46)).isCloseTo(0.0497147, within(5e-7));
        assertThat(Stalled.chanceStill(REACHING, TIME, 45)).isCloseTo(0.0545695, within(5e-7));
    }

    @Test
    void behindHoldsItsWorkedValues() {
        assertThat(Behind.judge(RATE, TIME, 21, 11, 40).tail()).isCloseTo(0.0593584, within(5e-7));
        assertThat(Behind.judge(RATE, TIME.withTau(0), 21, 11, 40).tail()).isCloseTo(0.0332292, within(5e-7));
    }

    @Test
    void behindIsSaidAtTwoLowLooksOrOneVeryLow() {
        Judged low = new Judged(14, 1, 40, 0.03);
        Judged lower = new Judged(21, 1, 40, 0.004);
        Judged fine = new Judged(21, 20, 40, 0.4);

        assertThat(new Behind(List.of(low)).isBehind()).isFalse();
        assertThat(new Behind(List.of(low, low)).isBehind()).isTrue();
        assertThat(new Behind(List.of(fine, low)).isBehind()).isFalse();
        assertThat(new Behind(List.of(lower)).isBehind()).isTrue();
        assertThat(new Behind(List.of(lower, fine)).isBehind()).isFalse();
    }
}
