package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.Outcome;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What is lost after it was ready, in its pot, and after it had settled: each counts where it happened. */
class LostLateTest extends AtANursery {

    private static LookCommand look(LocalDate day, int ready, int lost, int lostReady) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                new LookCommand.Counted(null, ready, lost, 0, null, false, lostReady, LossCause.ROT),
                null,
                null);
    }

    private static int sum(BatchView b) {
        return b.counts().pending()
                + b.readyToMove()
                + b.movedNow()
                + b.counts().lost()
                + b.counts().lostReady()
                + b.counts().sent();
    }

    @Test
    void twentyEightOfThirtyRootedAndThenThreeRot() {
        BatchView batch = running(30, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(10), 28, 1)));
        BatchView now = in(() -> batches.look(batch.code(), look(TODAY.minusDays(2), 28, 1, 3)));

        assertThat(now.readyToMove()).isEqualTo(25);
        assertThat(now.counts().lostReady()).isEqualTo(3);
        assertThat(sum(now)).isEqualTo(30);
        WayBatch told = in(() -> evidence.record().ways().get(now.way())).get(0);
        assertThat(told.ready().total(Outcome.REACHED)).as("they had rooted").isEqualTo(28);
        assertThat(in(() -> book.looks(now.code())).checks().get(0).counted().cause())
                .isEqualTo(LossCause.ROT);

        BatchView moved = in(() -> moves.move(now.code(), TODAY.minusDays(1), 25, 25));
        assertThat(sum(moved)).isEqualTo(30);
        assertThat(moved.movedNow()).isEqualTo(25);
    }

    @Test
    void whatIsLostInThePotCountsAgainstSettlingAndWhatHadSettledHadSettled() {
        BatchView batch = running(20, 60);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(30), 20, 0)));
        run(() -> moves.move(batch.code(), TODAY.minusDays(29), 20, 20));
        UUID pots = in(() -> book.pottings(batch.id())).get(0).id();

        run(() -> moves.lose(batch.code(), pots, 3, LossCause.DRIED));
        assertThatThrownBy(() -> in(() -> moves.settle(batch.code(), pots, TODAY, 18)))
                .isInstanceOf(InvalidField.class);
        run(() -> moves.settle(batch.code(), pots, TODAY.minusDays(10), 16));
        BatchView now = in(() -> moves.lose(batch.code(), pots, 2, LossCause.PEST));

        assertThat(now.settled()).as("stand settled now").isEqualTo(14);
        PottingView view = in(() -> book.pottings(batch.id())).get(0);
        assertThat(view.settled()).as("had settled").isEqualTo(16);
        assertThat(view.lost()).isEqualTo(new PottingView.Left(3, 2, LossCause.PEST, 0, 0));
        WayBatch told = in(() -> evidence.record().ways().get(now.way())).get(0);
        assertThat(told.moved()).isEqualTo(new WayBatch.Moved(16, 20));
        assertThat(told.ready().total(Outcome.REACHED)).isEqualTo(20);
        assertThat(sum(now)).isEqualTo(20);
        assertThatThrownBy(() -> in(() -> moves.lose(batch.code(), pots, 15, null)))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("14 of them stand");
    }

    @Test
    void whereNothingIsLeftInItsPotNobodyIsAskedWhetherItSettled() {
        BatchView batch = running(4, 60);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(30), 4, 0)));
        run(() -> moves.move(batch.code(), TODAY.minusDays(29), 4, 4));
        UUID pots = in(() -> book.pottings(batch.id())).get(0).id();

        BatchView now = in(() -> moves.lose(batch.code(), pots, 4, LossCause.ROT));

        assertThat(now.closedOn()).isNotNull();
        assertThat(in(() -> evidence.record().ways().get(now.way())).get(0).moved())
                .isEqualTo(new WayBatch.Moved(0, 4));
    }
}
