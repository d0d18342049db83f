package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.bench.Task;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Words;
import garden.vivarium.app.stock.StockKind;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.app.stock.StockState;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.timing.Climate;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What waits to be seen, what is due by day, and pieces that stay while their young plants are taken in turn. */
class StagesTest extends AtANursery {

    @Autowired
    private Words words;

    @Test
    void theClockHoldsUntilItWakes() {
        BatchView bulbs = asleep(TODAY.minusDays(80));
        assertThat(bulbs.isAsleep()).isTrue();
        Protocol.When wake = stage("bulb-in-pot", "wake").when().orElseThrow();

        Task ask = only(bulbs);
        assertThat(ask.kind()).isEqualTo(Task.Kind.ASK);
        assertThat(ask.due()).isEqualTo(TODAY.minusDays(80).plusDays(wake.first()));
        assertThat(words.of(ask.why())).contains("Until it wakes no day is counted");

        run(() -> batches.say(bulbs.code(), "wake", TODAY, false));
        assertThat(only(bulbs).due()).as("asked again later").isEqualTo(TODAY.plusDays(wake.every()));

        LocalDate woke = TODAY.minusDays(5);
        assertThatThrownBy(() -> in(() -> batches.say(bulbs.code(), "wake", TODAY.plusDays(1), true)))
                .isInstanceOf(InvalidField.class);
        run(() -> batches.say(bulbs.code(), "wake", woke, true));
        BatchView awake = in(() -> batches.find(bulbs.code()));
        assertThat(awake.dayZero()).isEqualTo(woke);
        assertThat(awake.age(TODAY)).isEqualTo(5);
        Task look = only(bulbs);
        assertThat(look.kind()).isEqualTo(Task.Kind.LOOK);
        assertThat(look.due()).isAfterOrEqualTo(woke.plusDays(28));
    }

    @Test
    void whatHasAShootHasWoken() {
        BatchView bulbs = asleep(TODAY.minusDays(80));
        run(() -> batches.look(bulbs.code(), Growing.count(TODAY.minusDays(3), 4, 0)));

        BatchView seen = in(() -> batches.find(bulbs.code()));
        assertThat(seen.isAsleep()).isFalse();
        assertThat(seen.dayZero()).as("midway from planting, 80 days ago").isEqualTo(TODAY.minusDays(42));
        assertThat(seen.counts().ready()).isEqualTo(4);
    }

    @Test
    void lossesWhileAsleepCountAsOfDayNought() {
        BatchView bulbs = asleep(TODAY.minusDays(80));
        run(() -> batches.look(bulbs.code(), Growing.count(TODAY.minusDays(30), 0, 2)));
        assertThat(in(() -> batches.find(bulbs.code())).isAsleep()).isTrue();
        run(() -> batches.say(bulbs.code(), "wake", TODAY.minusDays(10), true));

        BatchView awake = in(() -> batches.find(bulbs.code()));
        assertThat(awake.counts().lost()).isEqualTo(2);
        run(() -> batches.look(bulbs.code(), Growing.count(TODAY.minusDays(10), 0, 3)));
        assertThat(in(() -> batches.find(bulbs.code())).counts().lost())
                .as("on the day it woke")
                .isEqualTo(3);
        assertThat(awake.age(TODAY)).isEqualTo(10);
    }

    @Test
    void stagesByDayComeInOrderAndNoOtherIsTaken() {
        StockPlantView lily = plant("Lily ‘Storm Glass’", "bulb", 40);
        BatchView scales = in(() -> batches.make(
                Growing.newBatch(guide, "scale-in-vermiculite", lily, 20, TODAY.minusDays(60), TODAY.minusDays(60))));
        Protocol.Stage cold = stage("scale-in-vermiculite", "cold");

        Task tend = tasks(scales, Task.Kind.TEND).get(0);
        assertThat(tend.due())
                .isEqualTo(TODAY.minusDays(60).plusDays(cold.after().orElseThrow()));
        assertThatThrownBy(() -> in(() -> batches.say(scales.code(), "plant", TODAY, true)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining(cold.act().metric());
        run(() -> batches.say(scales.code(), "cold", TODAY.minusDays(2), true));
        assertThat(tasks(scales, Task.Kind.TEND).get(0).due())
                .isEqualTo(TODAY.minusDays(2)
                        .plusDays(stage("scale-in-vermiculite", "plant").after().orElseThrow()));
        assertThat(in(() -> batches.find(scales.code())).dayZero()).isEqualTo(TODAY.minusDays(60));
    }

    @Test
    void youngPlantsAreTakenInTurnWhileTheLeafStays() {
        StockPlantView strep = plant("Streptocarpus ‘Ebb’", "rosette", 40);
        BatchView leaves = in(() -> batches.make(
                Growing.newBatch(guide, "leaf-stalk-in-perlite", strep, 10, TODAY.minusDays(90), TODAY.minusDays(90))));
        run(() -> batches.look(leaves.code(), Growing.count(TODAY.minusDays(30), 6, 2)));
        assertThat(tasks(leaves, Task.Kind.SEPARATE).get(0).pieces()).isEqualTo(6);

        run(() -> moves.separate(leaves.code(), TODAY.minusDays(25), 8, 0));
        BatchView after = in(() -> batches.find(leaves.code()));
        assertThat(after.youngPlants()).isEqualTo(8);
        assertThat(after.readyToMove()).as("the leaves stay").isEqualTo(6);
        int turn = guide.protocol("leaf-stalk-in-perlite")
                .orElseThrow()
                .course()
                .inTurn()
                .orElseThrow();
        assertThat(tasks(leaves, Task.Kind.SEPARATE).get(0).due())
                .isEqualTo(TODAY.minusDays(25).plusDays(turn));

        assertThatThrownBy(() -> in(() -> moves.separate(leaves.code(), TODAY, 2, 7)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("0 to 6");
        assertThatThrownBy(() -> in(() -> moves.separate(leaves.code(), TODAY, 301, 0)))
                .hasMessageContaining("not believable");
        run(() -> moves.separate(leaves.code(), TODAY, 3, 6));
        assertThat(in(() -> batches.find(leaves.code())).readyToMove()).isZero();
        assertThat(in(() -> batches.find(leaves.code())).youngPlants()).isEqualTo(11);
    }

    @Test
    void piecesOfOtherWaysAreMovedWhole() {
        BatchView tips = in(() -> Growing.stuck(batches, guide, fuchsia, 12, TODAY.minusDays(30)));
        run(() -> batches.look(tips.code(), Growing.count(TODAY.minusDays(5), 6, 0)));
        assertThatThrownBy(() -> in(() -> moves.separate(tips.code(), TODAY, 3, 0)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("move them instead");
    }

    @Test
    void piecesSentAwayAreNotJudged() {
        BatchView tips = in(() -> Growing.tray(batches, guide, fuchsia, 2, 3, TODAY.minusDays(30)));
        run(() -> batches.look(
                tips.code(),
                LookCommand.ofPieces(
                        UUID.randomUUID(),
                        TODAY,
                        garden.vivarium.core.timing.LookKind.LIFTED,
                        List.of(
                                Growing.seen(1, garden.vivarium.core.looks.PieceState.SENT),
                                Growing.seen(2, garden.vivarium.core.looks.PieceState.READY)),
                        null,
                        null)));

        BatchView seen = in(() -> batches.find(tips.code()));
        assertThat(seen.counts().sent()).isOne();
        assertThat(seen.counts().pending()).isEqualTo(4);
    }

    private BatchView asleep(LocalDate planted) {
        StockPlantView lot = plant("Narcissus ‘Fogbell’", "bulb", 60, StockKind.LOT, StockState.DORMANT, Climate.COLD);
        return in(() -> batches.make(Growing.newBatch(guide, "bulb-in-pot", lot, 12, planted, planted)));
    }

    private Protocol.Stage stage(String protocol, String key) {
        return guide.protocol(protocol).orElseThrow().course().stages().stream()
                .filter(s -> s.key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    private Task only(BatchView batch) {
        List<Task> tasks = in(() -> benches.tasks(batch.code()));
        assertThat(tasks).hasSize(1);
        return tasks.get(0);
    }

    private List<Task> tasks(BatchView batch, Task.Kind kind) {
        return in(() -> benches.tasks(batch.code())).stream()
                .filter(t -> t.kind() == kind)
                .toList();
    }
}
