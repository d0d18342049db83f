package garden.vivarium.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.stock.StockPlantView;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** "I have this plant and this afternoon": what could be made of it. */
class MakingsTest extends AtANursery {

    @Autowired
    private Ways ways;

    @Autowired
    private Offers offers;

    @Test
    void everyWayOfTheKindIsThereTheMostYoungPlantsFirst() {
        StockPlantView strep = plant("Streptocarpus ‘Ebb’", "rosette", 40);
        List<MakingRow> rows = in(() -> ways.makings(strep, 20));

        assertThat(rows)
                .extracting(r -> r.protocol().key())
                .containsExactlyInAnyOrderElementsOf(in(() -> offers.protocols(strep.plant())).stream()
                        .map(p -> p.key())
                        .toList());
        assertThat(rows).extracting(r -> -r.making().youngPlants().middle()).isSorted();
        assertThat(rows.get(0).protocol().key())
                .as("a leaf cut in sections gives the most")
                .isEqualTo("leaf-section-in-vermiculite");
        assertThat(rows.get(0).making().youngPlants().middle()).isGreaterThan(20);
        assertThat(rows)
                .allSatisfy(r -> assertThat(r.minutes())
                        .isEqualTo(2 * r.protocol().figures().minutesPerTen()));
        int days = rows.get(0).ribbon().scale().days();
        assertThat(rows)
                .as("one axis for all")
                .allSatisfy(r -> assertThat(r.ribbon().scale().days()).isEqualTo(days));
    }
}
