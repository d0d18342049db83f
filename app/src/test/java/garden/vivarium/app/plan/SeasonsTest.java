package garden.vivarium.app.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
import garden.vivarium.core.timing.Window;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** The same protocol, asked for by nurseries in each half of the globe, in the tropics and in a lit room. */
class SeasonsTest extends AtANursery {

    @Autowired
    private Ways ways;

    @Autowired
    private Obstacles obstacles;

    @ParameterizedTest(name = "{0}, {1}, started {2}: in season {3}")
    @CsvSource({
        "NORTH, HEATED, 2026-07-01, true",
        "NORTH, HEATED, 2026-12-01, false",
        "NORTH, OPEN, 2026-12-01, false",
        "SOUTH, HEATED, 2026-07-01, false",
        "SOUTH, HEATED, 2026-12-01, true",
        "NORTH, TROPICAL, 2026-12-01, true",
        "SOUTH, TROPICAL, 2026-07-01, true",
        "NORTH, LIT, 2026-12-01, true",
        "SOUTH, LIT, 2026-07-01, true",
    })
    void theSeasonIsThatOfThePlace(Hemisphere half, Climate climate, LocalDate start, boolean in) {
        UUID there = Nurseries.make(people, half).id();
        StockPlantView parent = current.workingFor(
                there,
                () -> stock.add(new StockPlantForm(
                        "Fuchsia ‘Skerry Lantern’",
                        "soft",
                        Protection.FREE,
                        null,
                        new StockPlantForm.Stands("There", climate),
                        new StockPlantForm.Condition(200, StockState.GROWING, null),
                        null)));
        PlanForm aim = PlanForm.of(parent.id(), 24, start.plusDays(90), 90, start, "tip-in-plugs", null, null);

        WayRow row = current.workingFor(there, () -> ways.ways(parent, aim, Order.FEWEST)).stream()
                .filter(WayRow::chosen)
                .findFirst()
                .orElseThrow();
        List<String> warnings = current.workingFor(there, () -> obstacles.warnings(parent, row));

        assertThat(row.protocol().key()).isEqualTo("tip-in-plugs");
        assertThat(row.plan().isInSeason()).isEqualTo(in);
        assertThat(warnings.stream().anyMatch(w -> w.contains("Out of season"))).isEqualTo(!in);
        double slower = row.protocol()
                .material()
                .season()
                .factors(start, climate, climate, half)
                .slower();
        Window guide = row.protocol().ready().days();
        assertThat(row.plan().season().ready().day(0.5))
                .as("the guide's middle, slower out of season")
                .isCloseTo(Math.sqrt(guide.d10() * guide.d90()) * slower, within(1e-6));
        assertThat(row.plan().expected().ready().from())
                .as("nobody knows yet whether this nursery is quicker than the guide")
                .isBetween(
                        start.plusDays(Math.round(0.7 * guide.d10() * slower)),
                        start.plusDays(Math.round(guide.d10() * slower)));
    }
}
