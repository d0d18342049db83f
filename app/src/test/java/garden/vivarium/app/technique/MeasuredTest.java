package garden.vivarium.app.technique;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.core.compare.FinishedBatch;
import garden.vivarium.core.compare.Measure;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What is known in figures of batches that are over. */
class MeasuredTest extends AtANursery {

    @Autowired
    private Measured measured;

    private FinishedBatch over(String way) {
        BatchView made = in(() -> batches.make(
                Growing.newBatchAt(guide, way, fuchsia, fuchsia.place().id(), 24, TODAY.minusDays(60))));
        run(() -> batches.look(made.code(), Growing.count(TODAY.minusDays(30), 18, 6)));
        List<FinishedBatch> all = in(() -> measured.batches(""));
        assertThat(all).hasSize(1);
        return all.get(0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"tip-in-plugs", "tip-in-water"})
    void theLampsAreThoseOfTheWay(String way) {
        int lamps = guide.protocol(way).orElseThrow().keeping().air().lampHours();
        assertThat(over(way).measures()).containsEntry(Measure.LAMP, (double) lamps);
    }

    @Test
    void whereNobodyMeasuredNothingIsSaidOfWarmth() {
        assertThat(over("tip-in-plugs").measures())
                .containsEntry(Measure.DRIED, 0.0)
                .doesNotContainKey(Measure.WARMTH);
    }
}
