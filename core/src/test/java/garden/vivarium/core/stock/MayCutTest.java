package garden.vivarium.core.stock;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.Statement;
import garden.vivarium.core.stock.MayCut.Condition;
import garden.vivarium.core.stock.MayCut.Finding;
import garden.vivarium.core.stock.MayCut.Matter;
import garden.vivarium.core.stock.MayCut.Plant;
import garden.vivarium.core.stock.MayCut.Protected;
import garden.vivarium.core.stock.MayCut.Purpose;
import garden.vivarium.core.stock.MayCut.Step;
import garden.vivarium.core.stock.MayCut.Weight;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class MayCutTest {

    private static final LocalDate DAY = LocalDate.of(2026, 6, 15);
    private static final Plant GOOD =
            new Plant(Protected.FREE, null, "raised here", true, null, null, null, Condition.GROWING, false);

    private static List<Finding> judge(Plant plant, Purpose purpose) {
        return MayCut.judge(plant, purpose, DAY);
    }

    @Test
    void nothingSpeaksAgainstAHealthyFreePlant() {
        assertThat(judge(GOOD, Purpose.SALE)).isEmpty();
    }

    @Test
    void aProtectedVarietyIsRefusedForSaleWithoutALicence() {
        Plant variety = with(Protected.VARIETY, null);
        assertThat(judge(variety, Purpose.SALE)).singleElement().satisfies(f -> {
            assertThat(f.weight()).isEqualTo(Weight.REFUSED);
            assertThat(f.says().rule()).isEqualTo(Step.PROTECTED_FOR_SALE);
        });
    }

    @Test
    void aProtectedVarietyGoesOnForStudyOrUnderALicenceWithAWord() {
        assertThat(judge(with(Protected.VARIETY, null), Purpose.STUDY))
                .singleElement()
                .satisfies(f -> assertThat(f.weight()).isEqualTo(Weight.NEEDS_WORD));
        assertThat(judge(with(Protected.VARIETY, "L-204"), Purpose.SALE))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.weight()).isEqualTo(Weight.NEEDS_WORD);
                    assertThat(f.says()).isEqualTo(Statement.of(Step.PROTECTED_LICENSED, "licence", "L-204"));
                });
    }

    @Test
    void originMustBeShownOrNoted() {
        Plant noted = with(Protected.ORIGIN, null);
        assertThat(judge(noted, Purpose.SALE)).extracting(Finding::weight).containsExactly(Weight.WARNING);
        Plant unknown = new Plant(Protected.ORIGIN, null, " ", true, null, null, null, Condition.GROWING, false);
        assertThat(judge(unknown, Purpose.KEEPING)).extracting(Finding::weight).containsExactly(Weight.NEEDS_WORD);
    }

    @Test
    void quarantineNeedsAWordUntilItsLastDay() {
        assertThat(judge(quarantined(DAY.plusDays(1)), Purpose.SALE))
                .extracting(Finding::says)
                .containsExactly(Statement.of(Step.IN_QUARANTINE, "day", DAY.plusDays(1)));
        assertThat(judge(quarantined(DAY.plusDays(1)), Purpose.SALE))
                .extracting(Finding::weight)
                .containsExactly(Weight.NEEDS_WORD);
        assertThat(judge(quarantined(DAY), Purpose.SALE)).isEmpty();
    }

    @Test
    void anUnsureNameIsAWarningThatSaysWhenItCanBeConfirmed() {
        Plant unsure = new Plant(Protected.FREE, null, "", false, "at flowering", null, null, Condition.GROWING, false);
        assertThat(judge(unsure, Purpose.SALE)).singleElement().satisfies(f -> {
            assertThat(f.weight()).isEqualTo(Weight.WARNING);
            assertThat(f.says()).isEqualTo(Statement.of(Step.NAME_UNSURE_UNTIL, "when", "at flowering"));
        });
    }

    @Test
    void aRestingPlantIsAWarning() {
        Plant resting =
                new Plant(Protected.FREE, null, "", true, null, null, DAY.plusDays(9), Condition.GROWING, false);
        assertThat(judge(resting, Purpose.SALE))
                .extracting(Finding::says)
                .containsExactly(Statement.of(Step.RESTS, "day", DAY.plusDays(9)));
    }

    @ParameterizedTest
    @EnumSource(
            value = Condition.class,
            names = {"IN_BUD", "IN_FLOWER", "DORMANT", "WOODY", "SICK", "DYING"})
    void everyPoorConditionIsAWarningWithARemedy(Condition condition) {
        Plant poor = new Plant(Protected.FREE, null, "", true, null, null, null, condition, false);
        assertThat(judge(poor, Purpose.SALE)).singleElement().satisfies(f -> {
            assertThat(f.weight()).isEqualTo(Weight.WARNING);
            assertThat(f.says().rule().name()).isEqualTo(condition.name());
        });
    }

    @Test
    void aPlantThatFlowersOnceIsFollowedByItsOffsets() {
        Plant once = new Plant(Protected.FREE, null, "", true, null, null, null, Condition.IN_FLOWER, true);
        assertThat(judge(once, Purpose.SALE))
                .singleElement()
                .satisfies(f -> assertThat(f.says().rule()).isEqualTo(Step.IN_FLOWER_ONCE));
    }

    @Test
    void whatIsGoneIsRefusedAndTheGravestComesFirst() {
        Plant bad = new Plant(
                Protected.VARIETY, null, "", false, null, DAY.plusDays(3), DAY.plusDays(3), Condition.GONE, false);
        List<Finding> found = judge(bad, Purpose.SALE);
        assertThat(found)
                .extracting(Finding::matter)
                .contains(Matter.GONE, Matter.PROTECTION, Matter.QUARANTINE, Matter.NAME, Matter.REST);
        assertThat(found.get(0).weight()).isEqualTo(Weight.REFUSED);
        assertThat(found.stream().map(Finding::weight)).isSorted();
    }

    private static Plant with(Protected protection, String licence) {
        return new Plant(protection, licence, "raised here", true, null, null, null, Condition.GROWING, false);
    }

    private static Plant quarantined(LocalDate until) {
        return new Plant(Protected.FREE, null, "", true, null, until, null, Condition.GROWING, false);
    }
}
