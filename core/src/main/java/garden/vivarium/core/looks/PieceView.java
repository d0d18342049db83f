package garden.vivarium.core.looks;

import java.util.Optional;

/**
 * What is known of one piece after all looks.
 *
 * @param piece its number
 * @param state the furthest state seen
 * @param since day of the look that saw it first; 0 for nothing yet
 * @param lookedOn day of its last look, 0 when never looked at
 * @param knownNotReadyOn day of the last look that could know of ready and found it not so, 0 when there was none
 * @param wasReady whether it became ready before its end
 * @param byCount whether its state was assigned from counts rather than seen on this very piece
 * @param firmness how it felt when last noted
 */
public record PieceView(
        int piece,
        PieceState state,
        int since,
        int lookedOn,
        int knownNotReadyOn,
        boolean wasReady,
        boolean byCount,
        Optional<Firmness> firmness) {}
