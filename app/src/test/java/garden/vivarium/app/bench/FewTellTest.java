package garden.vivarium.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** What a few pieces that were lifted tell of the tray stands on its sheet, and only where most were left alone. */
class FewTellTest extends AtANursery {

    private BatchSheet looked(BatchView tray, LocalDate day, PieceState... states) {
        List<LookCommand.Seen> seen = IntStream.range(0, states.length)
                .mapToObj(i -> Growing.seen(i + 1, states[i]))
                .toList();
        run(() -> batches.look(
                tray.code(), LookCommand.ofPieces(UUID.randomUUID(), day, LookKind.LIFTED, seen, null, null)));
        return in(() -> sheets.of(tray.code()));
    }

    @Test
    void threeOfFiveSpeakForTheFiftyFiveOthers() {
        BatchView tray = in(() -> Growing.tray(batches, guide, fuchsia, 6, 10, TODAY.minusDays(20)));

        BatchSheet sheet = looked(
                tray,
                TODAY.minusDays(2),
                PieceState.READY,
                PieceState.NONE,
                PieceState.READY,
                PieceState.READY,
                PieceState.FIRST_SIGN);

        assertThat(Sheets.fewTell(sheet).orElseThrow().figures())
                .containsAllEntriesOf(Map.of("read", 5, "ready", 3, "others", 55));
        BatchSheet again = looked(tray, TODAY, PieceState.READY, PieceState.NONE, PieceState.READY, PieceState.READY);
        assertThat(Sheets.fewTell(again))
                .as("what was ready before was not drawn")
                .isEmpty();
    }

    @Test
    void aLookAtAllTellsOfNoOthers() {
        BatchView tray = in(() -> Growing.tray(batches, guide, fuchsia, 1, 3, TODAY.minusDays(20)));

        assertThat(Sheets.fewTell(looked(tray, TODAY, PieceState.READY, PieceState.NONE, PieceState.NONE)))
                .isEmpty();
    }
}
