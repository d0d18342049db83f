package garden.vivarium.app.technique;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.Nights;
import garden.vivarium.core.compare.Shared;
import garden.vivarium.core.evidence.StrikeRate;
import garden.vivarium.core.evidence.Way;
import garden.vivarium.core.timing.Climate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Batches that share luck are told of once a night, and count as less from then on. */
class SharedCountingTest extends AtANursery {

    @Autowired
    private Watched watched;

    @Autowired
    private Nights nights;

    private void batch(UUID place, int ready, int age) {
        BatchView made = in(() ->
                batches.make(Growing.newBatchAt(guide, "tip-in-plugs", fuchsia, place, 24, TODAY.minusDays(age))));
        run(() -> batches.look(made.code(), Growing.count(TODAY.minusDays(age - 30L), ready, 24 - ready)));
    }

    @Test
    void whatOneHouseSharesTellsLessFromTheNextNightOn() {
        UUID good = in(() -> stock.placeNamed("North house", Climate.HEATED).id());
        UUID bad = in(() -> stock.placeNamed("South house", Climate.HEATED).id());
        for (int i = 0; i < 12; i++) {
            batch(good, 21 + i % 3, 60 + 20 * i);
            batch(bad, 5 + i % 4, 70 + 20 * i);
        }
        Way way = in(() -> evidence.record().ways().keySet().iterator().next());
        StrikeRate before = in(() -> evidence.record().strike(way));
        assertThat(in(() -> watched.shared()))
                .filteredOn(s -> s.by() == Shared.By.PLACE)
                .singleElement()
                .matches(Shared::isTold);

        nights.due();
        StrikeRate after = in(() -> evidence.record().strike(way));
        assertThat(after.alpha() + after.beta())
                .as("they tell of fewer pieces")
                .isLessThan(before.alpha() + before.beta());
        assertThat(Math.abs(after.mean() - after.guideRate()))
                .as("and the guide counts for more beside them")
                .isLessThan(Math.abs(before.mean() - before.guideRate()));

        nights.due();
        assertThat(in(() -> evidence.record().strike(way)))
                .as("once a night, and nothing changed")
                .isEqualTo(after);
    }
}
