package garden.vivarium.core.looks;

import garden.vivarium.core.timing.LookKind;
import java.util.Optional;

/**
 * What one look saw of one piece.
 *
 * @param piece the piece's number, 1 and up
 * @param kind how this piece was looked at
 * @param state what was seen; {@link PieceState#NONE} from above says nothing of roots
 * @param cause why it was lost, if that was noted; {@link LossCause#STALLED} gives it up without its having looked lost
 * @param firmness how it felt, if that was noted
 */
public record Reading(
        int piece, LookKind kind, PieceState state, Optional<LossCause> cause, Optional<Firmness> firmness) {

    /** A reading without firmness or cause. */
    public static Reading of(int piece, LookKind kind, PieceState state) {
        return new Reading(piece, kind, state, Optional.empty(), Optional.empty());
    }

    /** Whether it was given up without having looked lost. */
    boolean givesUp() {
        return state == PieceState.LOST
                && cause.filter(c -> c == LossCause.STALLED).isPresent();
    }
}
