package garden.vivarium.core.plan;

import static garden.vivarium.core.ExpectedAnswers.assertAnswer;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Times;
import garden.vivarium.core.evidence.RootingTime;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.Window;
import java.util.Map;
import org.junit.jupiter.api.Test;

class ReadyByDayTest {

    private static final RootingTime TIME = Times.of(new Window(7.5, 30), 0);

    @Test
    void rootsDateItAndNotTheLook() {
        Tallies tallies = Tallies.of(
                Map.of(Interval.reached(14, 28), 20L, Interval.reached(28, 42), 7L, Interval.lost(28, 42), 13L));
        double each = (TIME.by(35, 0) - TIME.by(28, 0)) / (TIME.by(42, 0) - TIME.by(28, 0));
        assertAnswer("held chance", each);

        ReadyByDay by = ReadyByDay.of(tallies, TIME, 35);

        assertAnswer("held counts", by.atLeast(24));
        assertThat(by.atLeast(20)).isCloseTo(1, within(1e-12));
        assertThat(by.atLeast(28)).isZero();
        assertThat(by.isKnown(24)).isTrue();
    }

    @Test
    void neverLookedAtSinceIsUnknownUnlessTheOthersDecide() {
        Tallies tallies = Tallies.of(Map.of(Interval.reached(14, 28), 20L, Interval.pending(28), 6L));
        ReadyByDay by = ReadyByDay.of(tallies, TIME, 35);

        assertThat(by.unknown()).isEqualTo(6);
        assertThat(by.isKnown(24)).isFalse();
        assertThat(by.isKnown(20)).as("20 were there already").isTrue();
        assertThat(by.isKnown(27)).as("there are but 26 in all").isTrue();
        assertThat(ReadyByDay.of(Tallies.of(Map.of(Interval.reached(7, 21), 5L, Interval.pending(40), 6L)), TIME, 35)
                        .isKnown(6))
                .as("those were looked at later, and were not ready")
                .isTrue();
    }

    @Test
    void youngPlantsAreCountedAsPiecesAre() {
        Tallies tallies = Tallies.of(Map.of(Interval.reached(14, 28), 5L, Interval.pending(28), 3L));
        ReadyByDay plants = ReadyByDay.of(tallies, TIME, 35).times(2.5);

        assertThat(plants.ready().exactChance(12)).as("12.5, rounded down").isEqualTo(1);
        assertThat(plants.unknown()).as("7.5, rounded up").isEqualTo(8);
        assertThat(plants.isKnown(12)).isTrue();
        assertThat(plants.isKnown(13)).isFalse();
        assertThat(plants.isKnown(20)).as("twenty at most, all of them").isFalse();
        assertThat(plants.isKnown(21)).isTrue();
    }

    @Test
    void theEndsOfALookCountAsTheyAre() {
        assertThat(ReadyByDay.of(Tallies.of(Map.of(Interval.reached(14, 35), 5L)), TIME, 35)
                        .atLeast(5))
                .as("seen on the very day")
                .isEqualTo(1);
        assertThat(ReadyByDay.of(Tallies.of(Map.of(Interval.reached(35, 42), 5L)), TIME, 35)
                        .atLeast(1))
                .as("not yet ready on the very day")
                .isZero();
        assertThat(ReadyByDay.of(Tallies.of(Map.of(Interval.pending(35), 5L)), TIME, 35)
                        .unknown())
                .as("looked at on the very day")
                .isZero();
        // Where the model has all of its pieces long before, every day between two looks is as likely.
        RootingTime quick = Times.of(new Window(1, 1.001), 0);
        assertThat(ReadyByDay.of(Tallies.of(Map.of(Interval.reached(100, 104), 1L)), quick, 103)
                        .atLeast(1))
                .isCloseTo(0.75, within(1e-9));
    }

    @Test
    void batchesOfOneAimAddUp() {
        ReadyByDay one = ReadyByDay.of(Tallies.of(Map.of(Interval.reached(28, 42), 4L)), TIME, 35);

        assertThat(one.and(one).ready().mean()).isCloseTo(2 * one.ready().mean(), within(1e-12));
        assertThat(one.and(new ReadyByDay(Supply.none(), 3)).unknown()).isEqualTo(3);
    }
}
