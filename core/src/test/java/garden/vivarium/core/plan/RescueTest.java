package garden.vivarium.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.core.Statement;
import garden.vivarium.core.evidence.NextBatch;
import garden.vivarium.core.guide.Section;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RescueTest {

    private static final Rescue.Open WATER = open("in water", Section.TIP, 3, 2);
    private static final Rescue.Open MOSS = open("in moss", Section.TIP, 2.5, 2.5);
    private static final Rescue.Open NODE = open("nodes laid", Section.BARE, 1, 3);

    @Test
    void noneOfOneBatchIsTheMomentOfItsRate() {
        // E[(1−p)³] of Beta(3, 2) is 2·3·4 ÷ (5·6·7).
        Rescue rescue = Rescue.best(Map.of(Section.TIP, 3), List.of(WATER), 0);

        assertThat(rescue.piecesLive()).isCloseTo(1 - 24.0 / 210, within(1e-6));
        assertThat(rescue.somethingLives()).isEqualTo(rescue.piecesLive());
    }

    @ParameterizedTest
    @CsvSource({"2", "3", "5", "8"})
    void noOtherSpreadIsBetter(int tips) {
        Rescue rescue = Rescue.best(Map.of(Section.TIP, tips), List.of(WATER, MOSS), 0);

        for (int inWater = 0; inWater <= tips; inWater++) {
            double none =
                    (1 - WATER.ready().atLeast(1, inWater)) * (1 - MOSS.ready().atLeast(1, tips - inWater));
            assertThat(rescue.piecesLive()).as("%d in water", inWater).isGreaterThanOrEqualTo(1 - none - 1e-12);
        }
        assertThat(rescue.shares().stream().mapToInt(Rescue.Share::pieces).sum())
                .isEqualTo(tips);
    }

    @Test
    void spreadingOverWaysBeatsOneBatchOnceThereAreAFew() {
        Rescue spread = Rescue.best(Map.of(Section.TIP, 6), List.of(WATER, MOSS), 0);
        Rescue one = Rescue.best(Map.of(Section.TIP, 6), List.of(WATER), 0);

        assertThat(spread.shares()).hasSize(2);
        assertThat(spread.piecesLive()).isGreaterThan(one.piecesLive());
    }

    @Test
    void sectionsGoOnlyWhereTheyFitAndThePlantItselfCounts() {
        Rescue rescue = Rescue.best(
                Map.of(Section.TIP, 2, Section.BARE, 4, Section.MIDDLE, 3), List.of(WATER, MOSS, NODE), 0.4);

        assertThat(rescue.shares())
                .filteredOn(s -> s.section() == Section.BARE)
                .singleElement()
                .satisfies(s -> assertThat(s.pieces()).isEqualTo(4));
        assertThat(rescue.shares()).noneMatch(s -> s.section() == Section.MIDDLE);
        assertThat(rescue.somethingLives()).isCloseTo(1 - 0.6 * (1 - rescue.piecesLive()), within(1e-12));
        assertThat(rescue.working(Statement.of(Rescue.Step.A_PIECE)).steps())
                .hasSize(rescue.shares().size() + 2);
    }

    @Test
    void noChanceBeyondOneIsTaken() {
        assertThatThrownBy(() -> Rescue.best(Map.of(), List.of(), 1.2)).hasMessageContaining("between 0 and 1");
    }

    private static Rescue.Open open(String way, Section section, double a, double b) {
        return new Rescue.Open(way, way, section, ReadyChance.withUnlimitedTime(new NextBatch(a, b)));
    }
}
