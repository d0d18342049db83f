package garden.vivarium.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.core.Statement;
import garden.vivarium.core.guide.PlantGroup.Rhythm;
import garden.vivarium.core.stock.Regrowth.Bearing;
import garden.vivarium.core.stock.Regrowth.Count;
import garden.vivarium.core.stock.Regrowth.Harvest;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RegrowthTest {

    private static final LocalDate DAY = LocalDate.of(2026, 4, 1);
    private static final Rhythm SOFT = new Rhythm(21, 40, 0.33, true);

    private static Regrowth cut(int had, int cut, boolean hard) {
        return Regrowth.of(
                SOFT,
                Optional.of(new Count(DAY, had)),
                Optional.of(new Harvest(DAY.plusDays(1), cut, hard)),
                true,
                true);
    }

    @Test
    void whatNobodyCountedIsNotKnown() {
        Regrowth unknown = Regrowth.of(SOFT, Optional.empty(), Optional.of(new Harvest(DAY, 10, false)), true, true);
        assertThat(unknown.bears(DAY.plusDays(9))).isEmpty();
        assertThat(unknown.mayTake(DAY, false)).isEmpty();
        assertThat(unknown.restsUntil()).contains(DAY.plusDays(21));
    }

    @Test
    void aCountAfterTheHarvestStands() {
        Regrowth counted = Regrowth.of(
                SOFT,
                Optional.of(new Count(DAY.plusDays(30), 25)),
                Optional.of(new Harvest(DAY, 10, false)),
                false,
                true);
        assertThat(counted.bears(DAY.plusDays(35))).contains(new Bearing(25, 25, 25, false));
        assertThat(counted.mayTake(DAY.plusDays(35), false)).contains(8);
        assertThat(counted.mayTake(DAY.plusDays(35), true)).contains(25);
    }

    @Test
    void whatWasCutGrowsBackEvenlyAndNoFurther() {
        Regrowth r = cut(60, 20, false);
        assertThat(r.bears(DAY.plusDays(1))).contains(new Bearing(40, 40, 40, false));
        assertThat(r.bears(DAY.plusDays(21))).contains(new Bearing(50, 45, 55, true));
        assertThat(r.bears(DAY.plusDays(41))).contains(new Bearing(60, 50, 70, true));
        assertThat(r.bears(DAY.plusDays(400))).contains(new Bearing(60, 50, 70, true));
    }

    @Test
    void itNeverBearsLessAsDaysGoBy() {
        Regrowth r = cut(36, 36, true);
        int before = 0;
        for (int day = 1; day < 90; day++) {
            int now = r.bears(DAY.plusDays(day)).orElseThrow().pieces();
            assertThat(now).isGreaterThanOrEqualTo(before);
            before = now;
        }
        assertThat(before).isEqualTo(36);
    }

    @Test
    void itRestsTwiceAsLongAfterAHardCut() {
        assertThat(cut(60, 20, false).restsUntil()).contains(DAY.plusDays(22));
        assertThat(cut(60, 60, true).restsUntil()).contains(DAY.plusDays(43));
        assertThat(cut(60, 20, false).isResting(DAY.plusDays(21))).isTrue();
        assertThat(cut(60, 20, false).isResting(DAY.plusDays(22))).isFalse();
    }

    @Test
    void moreThanItBearsWellIsAHardCut() {
        Regrowth r = cut(60, 20, false);
        LocalDate day = DAY.plusDays(42);
        assertThat(r.mayTake(day, false)).contains(19);
        assertThat(r.isHard(19, day)).isFalse();
        assertThat(r.isHard(20, day)).isTrue();
        assertThat(r.isHard(400, day)).as("more than all of it").isTrue();
        assertThat(Regrowth.of(SOFT, Optional.empty(), Optional.empty(), false, true)
                        .isHard(400, day))
                .as("nobody has counted")
                .isFalse();
    }

    @Test
    void aLotNeitherRegrowsNorRests() {
        Regrowth lot = Regrowth.of(
                SOFT, Optional.of(new Count(DAY, 60)), Optional.of(new Harvest(DAY, 20, false)), true, false);
        assertThat(lot.bears(DAY.plusDays(300))).contains(new Bearing(40, 40, 40, false));
        assertThat(lot.mayTake(DAY.plusDays(1), false)).contains(40);
        assertThat(lot.restsUntil()).isEmpty();
        assertThat(lot.isHard(40, DAY.plusDays(1))).isFalse();
        assertThat(lot.working(DAY).steps()).last().isEqualTo(Statement.of(Regrowth.Step.TAKEN, "cut", 20, "left", 40));
    }

    @Test
    void theWorkingCarriesTheFigures() {
        assertThat(cut(60, 20, false).working(DAY.plusDays(21)).steps())
                .contains(Statement.of(
                        Regrowth.Step.REGROWN,
                        "over",
                        SOFT.regrowDays(),
                        "left",
                        40,
                        "cut",
                        20,
                        "share",
                        0.5,
                        "pieces",
                        50,
                        "least",
                        45,
                        "most",
                        55));
    }

    @Test
    void aRhythmThatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Rhythm(30, 20, 0.3, false)).hasMessageContaining("regrowth no sooner");
        assertThatThrownBy(() -> new Rhythm(30, 60, 1.2, false)).hasMessageContaining("at most 1");
    }
}
