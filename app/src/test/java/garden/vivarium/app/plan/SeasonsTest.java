package garden.vivarium.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.stock.Protection;
import garden.vivarium.app.stock.StockPlantForm;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.timing.Climate;
import garden.vivarium.core.timing.Hemisphere;
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
                        "There",
                        climate,
                        200,
                        StockState.GROWING,
                        null,
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
        double slower = in ? 1 : row.protocol().season().slower();
        double usual = row.protocol().ready().days().d10() * slower;
        assertThat(row.plan().expected().ready().from())
                .isBetween(start.plusDays(Math.round(usual) - 2), start.plusDays(Math.round(usual) + 2));
    }
}
