package garden.vivarium.core.simulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.simulate.Practice.Act;
import garden.vivarium.core.simulate.Practice.What;
import garden.vivarium.core.timing.Window;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The practice tray: nothing is seen unlooked, and no play beats the best of hindsight. */
class PracticeTest {

    private static final Practice.Way WAY = new Practice.Way(
            new TrueRates(0.8, 0.08, 0.15, Optional.of(new Window(8, 18)), new Window(14, 30), 0.5), 14, 0.95);

    @Test
    void whatIsNotLookedAtIsNotSeenAndWhatIsNotSeenIsNotMoved() {
        Practice blind = Practice.play(WAY, 24, 7, List.of(new Act(40, What.MOVE), new Act(40, What.CLOSE)));
        assertThat(blind.seen()).containsOnly(PieceState.NONE);
        assertThat(blind.moved()).isZero();
        assertThat(blind.isOver()).isTrue();
        Practice looked = Practice.play(WAY, 24, 7, List.of(new Act(30, What.LOOK), new Act(30, What.MOVE)));
        assertThat(looked.lastLook()).isEqualTo(30);
        assertThat(looked.moved()).isEqualTo((int)
                looked.seen().stream().filter(s -> s == PieceState.READY).count());
        assertThat(looked.moved()).isBetween(10, 24);
        assertThat(looked.isOver()).isFalse();
    }

    @Test
    void theBestOfHindsightIsReachedByPlayingItAndBeatenByNone() {
        Random random = new Random(3);
        for (long seed = 1; seed <= 40; seed++) {
            Practice.Score idle = Practice.play(WAY, 24, seed, List.of()).score();
            List<Act> best = new ArrayList<>();
            idle.bestDays().forEach(d -> {
                best.add(new Act(d, What.LOOK));
                best.add(new Act(d, What.MOVE));
            });
            best.add(new Act(best.get(best.size() - 1).day(), What.CLOSE));
            Practice.Score played = Practice.play(WAY, 24, seed, best).score();
            assertThat(played.points()).isCloseTo(idle.best(), within(1e-9));
            assertThat(played.reasons().get(0).rule()).isEqualTo(Practice.Reason.WELL_DONE);
            for (int tries = 0; tries < 20; tries++) {
                List<Act> some = new ArrayList<>();
                int day = 0;
                for (int i = 0; i < 1 + random.nextInt(6); i++) {
                    day += 1 + random.nextInt(12);
                    some.add(new Act(day, What.LOOK));
                    some.add(new Act(day, What.MOVE));
                }
                some.add(new Act(day, What.CLOSE));
                assertThat(Practice.play(WAY, 24, seed, some).score().points()).isLessThanOrEqualTo(idle.best() + 1e-9);
            }
        }
    }

    @Test
    void whatWentWrongIsSaid() {
        Practice.Score late = Practice.play(
                        WAY, 24, 7, List.of(new Act(75, What.LOOK), new Act(75, What.MOVE), new Act(75, What.CLOSE)))
                .score();
        assertThat(late.reasons())
                .extracting(r -> (Object) r.rule())
                .contains(Practice.Reason.STOOD_TOO_LONG, Practice.Reason.CLOSED_LATE);
        Practice.Score early = Practice.play(
                        WAY, 24, 7, List.of(new Act(12, What.LOOK), new Act(12, What.MOVE), new Act(12, What.CLOSE)))
                .score();
        assertThat(early.reasons()).extracting(r -> (Object) r.rule()).contains(Practice.Reason.CLOSED_EARLY);
        List<Act> daily = new ArrayList<>();
        for (int d = 1; d <= 35; d++) {
            daily.add(new Act(d, What.LOOK));
        }
        daily.add(new Act(35, What.CLOSE));
        assertThat(Practice.play(WAY, 24, 7, daily).score().reasons())
                .extracting(r -> (Object) r.rule())
                .contains(Practice.Reason.MANY_LOOKS, Practice.Reason.NOT_MOVED);
        assertThatThrownBy(() -> Practice.play(WAY, 24, 7, List.of(new Act(9, What.LOOK), new Act(3, What.LOOK))))
                .hasMessageContaining("forward in time");
        assertThatThrownBy(() -> Practice.play(WAY, 24, 7, List.of(new Act(9, What.CLOSE), new Act(9, What.LOOK))))
                .hasMessageContaining("forward in time");
    }
}
