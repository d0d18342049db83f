package garden.vivarium.app.batch;

import garden.vivarium.core.looks.Counts;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.looks.PieceView;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** The look that writes off what still stands with nothing: lost as stalled. */
final class StalledLook {

    private static final String GIVEN_UP = "given up as stalled";

    private StalledLook() {}

    static LookCommand ofPieces(List<PieceView> stalling, LocalDate day) {
        List<LookCommand.Seen> stalled = stalling.stream()
                .map(p -> new LookCommand.Seen(
                        p.piece(), LookKind.LIFTED, PieceState.LOST, LossCause.STALLED, null, null, null, null, null))
                .toList();
        return LookCommand.ofPieces(UUID.randomUUID(), day, LookKind.LIFTED, stalled, GIVEN_UP, null);
    }

    static LookCommand ofCount(Counts counts, int stalled, LocalDate day) {
        return LookCommand.ofCounts(
                UUID.randomUUID(),
                day,
                LookKind.LIFTED,
                new LookCommand.Counted(null, counts.ready(), counts.lost() + stalled, counts.sent(), null, true),
                GIVEN_UP,
                null);
    }
}
