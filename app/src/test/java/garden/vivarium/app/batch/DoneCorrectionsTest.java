package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.core.evidence.WayBatch;
import garden.vivarium.core.looks.Interval;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.Tallies;
import garden.vivarium.core.timing.LookKind;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Looks and moves as they really were. */
class DoneCorrectionsTest extends AtANursery {

    @Autowired
    private DoneCorrections corrections;

    @Autowired
    private BatchCorrections batchCorrections;

    private UUID standing(BatchView batch) {
        return in(() -> book.looks(batch.code())).checks().stream()
                .filter(c -> !c.isWithdrawn())
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void aLookByCountIsCorrectedAndAsItWasStandsStruckThrough() {
        BatchView batch = running(20, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(10), 12, 1)));
        UUID look = standing(batch);

        BatchView now = in(() -> corrections.correctLook(
                batch.code(),
                look,
                TODAY.minusDays(12),
                LookKind.LIFTED,
                new LookCommand.Counted(null, 10, 2, 0, null),
                Map.of(),
                null,
                "counted the next tray"));

        assertThat(now.counts().ready()).isEqualTo(10);
        assertThat(now.counts().lost()).isEqualTo(2);
        WayBatch told = in(() -> evidence.record().ways().get(now.way())).get(0);
        assertThat(told.ready())
                .isEqualTo(Tallies.of(
                        Map.of(Interval.reached(0, 28), 10L, Interval.lost(0, 28), 2L, Interval.pending(28), 8L)));
        assertThat(in(() -> book.looks(batch.code())).checks()).hasSize(2).anyMatch(CheckView::isWithdrawn);
        assertThat(in(() -> batchCorrections.of(batch.id()))).hasSize(2).anySatisfy(m -> {
            assertThat(m.fact().what()).isEqualTo("look of Fri 5 Jun, counts");
            assertThat(m.fact().was()).isEqualTo("12 ready, 1 lost");
            assertThat(m.fact().became()).isEqualTo("10 ready, 2 lost");
            assertThat(m.why()).isEqualTo("counted the next tray");
        });
    }

    @Test
    void aLookByPieceKeepsItsReadingsOnAnotherDay() {
        BatchView tray = in(() -> Growing.tray(batches, guide, fuchsia, 1, 3, TODAY.minusDays(40)));
        run(() -> batches.look(
                tray.code(), Growing.pieces(TODAY.minusDays(10), PieceState.READY, PieceState.NONE, PieceState.LOST)));

        BatchView now = in(() -> corrections.correctLook(
                tray.code(), standing(tray), TODAY.minusDays(15), LookKind.TUG, null, Map.of(), null, null));

        assertThat(now.lastLook()).isEqualTo(TODAY.minusDays(15));
        assertThat(now.counts().ready()).isEqualTo(1);
        assertThat(in(() -> corrections.look(tray.code(), standing(tray))).look())
                .isEqualTo(LookKind.TUG);
    }

    @Test
    void aSinglePieceThatWasReadWrongIsPutRight() {
        BatchView tray = in(() -> Growing.tray(batches, guide, fuchsia, 1, 3, TODAY.minusDays(40)));
        run(() -> batches.look(
                tray.code(), Growing.pieces(TODAY.minusDays(10), PieceState.READY, PieceState.NONE, PieceState.LOST)));

        BatchView now = in(() -> corrections.correctLook(
                tray.code(),
                standing(tray),
                TODAY.minusDays(10),
                LookKind.LIFTED,
                null,
                Map.of(1, PieceState.READY, 2, PieceState.LOST, 3, PieceState.NONE),
                null,
                "the tray was turned"));

        assertThat(now.counts().ready()).isEqualTo(1);
        assertThat(now.counts().lost()).isEqualTo(1);
        assertThat(now.counts().pending()).isEqualTo(1);
        assertThat(in(() -> batchCorrections.of(tray.id()))).singleElement().satisfies(m -> {
            assertThat(m.fact().was()).isEqualTo("2 none, 3 lost");
            assertThat(m.fact().became()).isEqualTo("2 lost, 3 none");
        });
    }

    @Test
    void aLookThatCannotBeIsRefusedAndAsItWasStands() {
        BatchView batch = running(20, 40);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(10), 12, 1)));
        UUID look = standing(batch);
        assertThatThrownBy(() -> in(() -> corrections.correctLook(
                        batch.code(),
                        look,
                        TODAY.minusDays(10),
                        LookKind.LIFTED,
                        new LookCommand.Counted(null, 15, 9, 0, null),
                        Map.of(),
                        null,
                        null)))
                .isInstanceOf(LookRefused.class);
        assertThat(in(() -> batches.find(batch.code())).counts().ready()).isEqualTo(12);
        assertThat(standing(batch)).isEqualTo(look);
    }

    @Test
    void aMoveIsCorrectedAndTakenBack() {
        BatchView batch = running(20, 60);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(30), 18, 2)));
        run(() -> moves.move(batch.code(), TODAY.minusDays(20), 10, 10));
        UUID move = in(() -> book.pottings(batch.id())).get(0).id();
        run(() -> moves.settle(batch.code(), move, TODAY.minusDays(5), 9));

        BatchView now = in(() ->
                corrections.correctMove(batch.code(), move, TODAY.minusDays(25), 12, 11, 8, "two more were found"));
        assertThat(now.moved()).isEqualTo(12);
        assertThat(now.youngPlants()).isEqualTo(11);
        assertThat(now.settled()).isEqualTo(8);
        assertThat(now.readyToMove()).isEqualTo(6);
        assertThat(in(() -> evidence.record().ways().get(now.way())).get(0).moved())
                .isEqualTo(new WayBatch.Moved(8, 11));
        assertThat(in(() -> batchCorrections.of(batch.id()))).hasSize(4);

        assertThatThrownBy(() ->
                        in(() -> corrections.correctMove(batch.code(), move, TODAY.minusDays(25), 19, 19, null, null)))
                .isInstanceOf(InvalidField.class);
        assertThatThrownBy(() ->
                        in(() -> corrections.correctMove(batch.code(), move, TODAY.minusDays(61), 12, 11, 8, null)))
                .isInstanceOf(InvalidField.class);
        BatchView back = in(() -> corrections.correctMove(batch.code(), move, TODAY.minusDays(25), 0, 0, null, null));
        assertThat(back.readyToMove()).isEqualTo(18);
        assertThat(back.settled()).isZero();
        assertThat(in(() -> book.pottings(batch.id()))).isEmpty();
    }

    @Test
    void aMovePottedOnAnotherDayTakesItsWaitsAlong() {
        BatchView batch = running(20, 60);
        run(() -> batches.look(batch.code(), Growing.count(TODAY.minusDays(30), 18, 2)));
        PottedIn pots = new PottedIn(70, 1, "coir", null, TODAY.minusDays(17), TODAY.plusDays(8), "a stake");
        in(() -> {
            moves.potUp(batch.code(), TODAY.minusDays(20), List.of(new Moves.Filled(10, 1, pots)));
            return null;
        });
        UUID move = in(() -> book.pottings(batch.id())).get(0).id();

        run(() -> corrections.correctMove(batch.code(), move, TODAY.minusDays(25), 10, 10, null, null));
        PottedIn shifted = in(() -> book.pottings(batch.id())).get(0).stands();
        assertThat(shifted.waterOn()).isEqualTo(TODAY.minusDays(22));
        assertThat(shifted.feedOn()).isEqualTo(TODAY.plusDays(3));

        // The first water is said anew; the feed is left, and goes with the day of the move.
        run(() -> corrections.correctMove(
                batch.code(),
                move,
                TODAY.minusDays(20),
                10,
                10,
                null,
                was -> new PottedIn(90, 1, "gritty mix", null, TODAY.minusDays(15), was.feedOn(), "no stake after all"),
                "the other trays"));
        PottedIn now = in(() -> book.pottings(batch.id())).get(0).stands();
        assertThat(now)
                .isEqualTo(new PottedIn(
                        90, 1, "gritty mix", null, TODAY.minusDays(15), TODAY.plusDays(8), "no stake after all"));
        assertThat(in(() -> batchCorrections.of(batch.id())).toString()).contains("coir", "gritty mix", "a stake");
    }
}
