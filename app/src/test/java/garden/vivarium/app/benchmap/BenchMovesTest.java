package garden.vivarium.app.benchmap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.Whereabouts;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.stock.PlaceView;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.timing.Climate;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Where vessels lie on the map, and where they are put. */
class BenchMovesTest extends AtANursery {

    @Autowired
    private BenchMaps maps;

    @Autowired
    private BenchMoves benchMoves;

    @Autowired
    private Whereabouts whereabouts;

    @Test
    void batchesOfOneVesselLieSideBySideAndAreCarriedTogether() {
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Salvia ‘Tern’"));
        BatchView one = in(() -> Growing.stuck(batches, guide, fuchsia, 30, TODAY.minusDays(9)));
        BatchView other = in(() -> Growing.stuck(batches, guide, sage, 10, TODAY.minusDays(8)));
        in(() -> whereabouts.together(one.code(), other.code()));
        Map<String, BenchMap.Vessel> before = drawn();
        BenchMap.Rect left = before.get(one.code()).at();
        BenchMap.Rect right = before.get(other.code()).at();
        assertThat(right.x()).isCloseTo(left.x() + left.wide(), within(1e-9));
        assertThat(left.wide()).isCloseTo(3 * right.wide(), within(1e-9));
        assertThat(before.get(one.code()).says()).contains("shares its vessel");

        PlaceView tunnel = in(() -> stock.placeNamed("Tunnel", Climate.COLD));
        run(() -> benchMoves.put(other.code(), tunnel.id(), 50, 5));
        Map<String, BenchMap.Vessel> after = drawn();
        assertThat(after.values())
                .hasSize(2)
                .allSatisfy(v -> assertThat(v.place()).isEqualTo(tunnel.id()));
        assertThat(after.get(other.code()).at().x()).isCloseTo(50, within(0.01));
        assertThat(after.get(one.code()).at().x()).isCloseTo(50 - left.wide(), within(0.01));
    }

    private Map<String, BenchMap.Vessel> drawn() {
        return in(() -> maps.map(maps.places()).vessels()).stream()
                .collect(Collectors.toMap(BenchMap.Vessel::code, Function.identity()));
    }
}
