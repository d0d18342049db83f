package garden.vivarium.app.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.people.Nurseries;
import garden.vivarium.app.stock.StockPlantView;
import garden.vivarium.core.compare.LossEvent;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Losses as looks found them: by piece and by count, each once, by nursery. */
class LossBookTest extends AtANursery {

    @Autowired
    private LossBook losses;

    private BatchView tray;

    @BeforeEach
    void aTray() {
        tray = in(() -> {
            StockPlantView fuchsia = Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’");
            return Growing.tray(batches, guide, fuchsia, 4, 6, TODAY.minusDays(30));
        });
    }

    private LookCommand byPiece(LocalDate day, LossCause... causes) {
        List<LookCommand.Seen> seen = new ArrayList<>();
        for (int i = 0; i < causes.length; i++) {
            seen.add(new LookCommand.Seen(
                    i + 1,
                    LookKind.LIFTED,
                    causes[i] == null ? PieceState.NONE : PieceState.LOST,
                    causes[i],
                    null,
                    null,
                    null,
                    null,
                    null));
        }
        return LookCommand.ofPieces(UUID.randomUUID(), day, LookKind.LIFTED, seen, null, null);
    }

    private LookCommand byCount(LocalDate day, int lost, LossCause cause) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                new LookCommand.Counted(null, 0, lost, 0, null, false, null, cause),
                null,
                null);
    }

    @Test
    void eachLossIsOnceOnTheLookThatFoundItWithTheLookBefore() {
        in(() -> batches.look(tray.code(), byPiece(TODAY.minusDays(20), LossCause.ROT, LossCause.ROT, null)));
        in(() ->
                batches.look(tray.code(), byPiece(TODAY.minusDays(13), LossCause.ROT, LossCause.ROT, LossCause.DRIED)));
        in(() -> batches.look(tray.code(), byCount(TODAY.minusDays(6), 7, LossCause.PEST)));
        LossBook.Found found = in(() -> losses.since(TODAY.minusYears(1)));
        assertThat(found.losses())
                .extracting(LossEvent::on, LossEvent::after, LossEvent::cause, LossEvent::pieces)
                .containsExactlyInAnyOrder(
                        tuple(TODAY.minusDays(20), TODAY.minusDays(30), LossCause.ROT, 2),
                        tuple(TODAY.minusDays(13), TODAY.minusDays(20), LossCause.DRIED, 1),
                        tuple(TODAY.minusDays(6), TODAY.minusDays(13), LossCause.PEST, 4));
        assertThat(found.losses().stream().mapToInt(LossEvent::pieces).sum()).isEqualTo(7);
        assertThat(found.looks()).hasSize(3);
        assertThat(found.stuckAt().values()).containsExactly(24);
        assertThat(in(() -> losses.looks())).containsEntry(tray.id(), 3);
    }

    @Test
    void whatWasLostBeforeIsNotLostAgain() {
        in(() -> batches.look(tray.code(), byCount(TODAY.minusDays(20), 5, LossCause.ROT)));
        in(() -> batches.look(tray.code(), byCount(TODAY.minusDays(6), 7, LossCause.ROT)));
        LossBook.Found found = in(() -> losses.since(TODAY.minusDays(10)));
        assertThat(found.losses())
                .extracting(LossEvent::on, LossEvent::after, LossEvent::pieces)
                .containsExactly(tuple(TODAY.minusDays(6), TODAY.minusDays(20), 2));
        assertThat(found.looks()).hasSize(1);
        assertThat(in(() -> losses.since(TODAY.minusDays(3))).stuckAt()).isEmpty();
    }

    @Test
    void whatWasTakenBackWasNotLostAndAnotherNurserySeesNothing() {
        in(() -> batches.look(tray.code(), byCount(TODAY.minusDays(6), 3, null)));
        assertThat(in(() -> losses.since(TODAY.minusYears(1))).losses())
                .singleElement()
                .satisfies(l -> assertThat(l.cause()).isEqualTo(LossCause.UNKNOWN));
        UUID other = Nurseries.make(people).id();
        assertThat(current.workingFor(
                        other, () -> losses.since(TODAY.minusYears(1)).looks()))
                .isEmpty();
        assertThat(current.workingFor(other, () -> losses.looks())).isEmpty();
        UUID check = in(() -> book.looks(tray.code()).checks().get(0).id());
        in(() -> batches.takeBack(tray.code(), check));
        assertThat(in(() -> losses.since(TODAY.minusYears(1))).losses()).isEmpty();
    }
}
