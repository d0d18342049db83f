package garden.vivarium.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.plan.DayAsked;
import garden.vivarium.core.plan.WayPlan;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;

/** Ways that cannot make it, with the reason and what could; what their work and room come to. */
class WaysTest extends AtANursery {

    private static final LocalDate WINTER = LocalDate.of(2026, 11, 20);

    @Autowired
    private Ways ways;

    @Autowired
    private Plans plans;

    @Autowired
    private WhyFirst whyFirst;

    @Test
    void aCommonerWayThatIsOutOfSeasonIsNamed() {
        StockPlantView rosemary = plant("Rosemary ‘Harbour Wall’", "woody", 200);
        List<WayRow> rows = in(() -> ways.ways(
                rosemary,
                PlanForm.of(rosemary.id(), 10, TODAY.plusDays(120), 90, TODAY, null, null, null),
                Order.ADVICE));

        assertThat(in(() -> whyFirst.why(rosemary, rows)))
                .startsWith("Many who raise rosemary start so; as a rule")
                .endsWith("Its semi-ripe cutting is commoner, but out of season now.");
    }

    @Test
    void allThatThereIsIsAnAnswer() {
        StockPlantView few = plant("Sage ‘Lighter Grey’", "soft", 20);
        WayRow row = row(few, 40, TODAY.plusDays(90), TODAY, "tip-in-plugs");

        assertThat(row.isFeasible()).isTrue();
        assertThat(row.plan().isAllThatThereIs()).isTrue();
        assertThat(row.plan().inTurn().orElseThrow().pieces()).isEqualTo(20);
        assertThat(row.obstacle().orElseThrow())
                .startsWith("20 shoot tips: ")
                .containsPattern("\\d+ or more grow as often as not, \\d+ nearly always\\.");
        assertThat(row.cautions()).contains("blade");
        int sure = row.plan().givesWith(0.9);
        WayPlan fewer =
                row(few, sure, TODAY.plusDays(90), TODAY, "tip-in-plugs").plan();
        assertThat(fewer.isAllThatThereIs()).isFalse();
        assertThat(fewer.inTurn().orElseThrow().pieces()).isLessThanOrEqualTo(20);
    }

    @Test
    void aDayThatIsTooSoonNamesOneThatWouldDo() {
        WayRow row = row(fuchsia, 20, TODAY.plusDays(20), TODAY, "tip-in-plugs");
        assertThat(row.isFeasible()).isFalse();
        assertThat(row.obstacle().orElseThrow()).startsWith("Too soon: ").contains(" do it by ");
        LocalDate due = row.plan().tooSoon().orElseThrow().by().orElseThrow();

        assertThat(row(fuchsia, 20, due, TODAY, "tip-in-plugs").isFeasible()).isTrue();
        assertThat(row(fuchsia, 20, due.minusDays(1), TODAY, "tip-in-plugs").isFeasible())
                .isFalse();
    }

    @Test
    void whatIsForeseenOfAPlanIsWhatItAskedFor() {
        LocalDate due = TODAY.plusDays(45);
        PlanForm rooted = new PlanForm(
                fuchsia.id(),
                20,
                1,
                due,
                90,
                TODAY,
                "tip-in-plugs",
                null,
                null,
                null,
                null,
                null,
                null,
                null,
                DayAsked.ROOTED);
        PlanView made = in(() -> plans.commit(rooted));
        PlanView kept = in(() -> plans.find(made.id()));

        assertThat(kept.until()).isEqualTo(DayAsked.ROOTED);
        double foreseen = in(() -> plans.toCome(kept, fuchsia, due).alone().atLeast(20));
        assertThat(foreseen).isCloseTo(kept.start().chance(), within(0.03));
        double bySettling = in(() -> ways.planned(plans.protocol(kept), fuchsia, TODAY, due, 1, DayAsked.SETTLED)
                .prospect(kept.start().take())
                .alone()
                .atLeast(20));
        assertThat(bySettling).isLessThan(foreseen - 0.2);
    }

    @Test
    void inWinterAWarmLitPlaceIsNamedWhereItWouldDo() {
        StockPlantView cold =
                plant("Sage ‘Lighter Grey’", "soft", 60, StockKind.PLANT, StockState.GROWING, Climate.COLD);
        WayRow row = row(cold, 20, WINTER.plusDays(52), WINTER, "tip-in-plugs");

        assertThat(row.plan().isInSeason()).isFalse();
        assertThat(row.isFeasible()).isFalse();
        assertThat(row.obstacle().orElseThrow())
                .containsPattern("Warm and lit, where there is no winter, \\d+ would do");
        StockPlantView lit = plant("Sage ‘Under Lamps’", "soft", 60, StockKind.PLANT, StockState.GROWING, Climate.LIT);
        assertThat(row(lit, 20, WINTER.plusDays(52), WINTER, "tip-in-plugs").isFeasible())
                .isTrue();
    }

    @ParameterizedTest
    @EnumSource(Order.class)
    void whatCanBeDoneComesFirstInEveryOrder(Order order) {
        List<WayRow> rows = in(() -> ways.ways(
                fuchsia, PlanForm.of(fuchsia.id(), 20, TODAY.plusDays(45), 90, TODAY, null, null, null), order));

        assertThat(rows)
                .filteredOn(r -> !r.plan().isUncounted())
                .extracting(r -> !r.isFeasible())
                .isSorted();
        assertThat(rows).filteredOn(WayRow::chosen).hasSize(1);
        assertThat(rows)
                .filteredOn(r -> !r.isFeasible())
                .allSatisfy(r -> assertThat(r.obstacle()).isPresent());
        assertThat(rows).filteredOn(WayRow::isFeasible).allSatisfy(r -> {
            assertThat(r.work().minutes()).isPositive();
            assertThat(r.trayDays()).isPositive();
            assertThat(r.youngPlants().orElseThrow().tenth()).isGreaterThanOrEqualTo(20);
        });
    }

    private WayRow row(StockPlantView plant, int wanted, LocalDate due, LocalDate start, String way) {
        return in(() -> ways.way(plant, PlanForm.of(plant.id(), wanted, due, 90, start, way, null, null))
                .orElseThrow());
    }
}
