package garden.vivarium.app.batch;

import garden.vivarium.core.looks.Firmness;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/**
 * A look to be written down: by count or by piece, never both.
 *
 * @param clientId made where it was typed; the same one twice is one look
 * @param lookedOn day of the look
 * @param look how the batch was looked at
 * @param counts counts so far, or null
 * @param pieces readings, empty when by count
 * @param note free words, or null
 * @param knownChanges how many changes of the batch its writer had seen, or null to take it as it comes
 */
public record LookCommand(
        UUID clientId,
        LocalDate lookedOn,
        LookKind look,
        Counted counts,
        List<Seen> pieces,
        String note,
        Integer knownChanges) {

    public LookCommand {
        pieces = List.copyOf(pieces);
    }

    /**
     * Counts so far; {@code firstSign} and {@code youngPlants} are null where nobody counted them.
     *
     * @param gaveUp whether those newly lost were given up as stalled, without having looked lost
     * @param lostReady pieces lost after they were ready; null where nobody counted them
     * @param cause of what is newly lost; null where nobody said
     */
    public record Counted(
            Integer firstSign,
            int ready,
            int lost,
            int sent,
            Integer youngPlants,
            boolean gaveUp,
            Integer lostReady,
            LossCause cause) {

        /** Counts in which nobody counted losses of ready pieces. */
        public Counted(Integer firstSign, int ready, int lost, int sent, Integer youngPlants, boolean gaveUp) {
            this(firstSign, ready, lost, sent, youngPlants, gaveUp, null, null);
        }

        /** Counts of which nothing was given up. */
        public Counted(Integer firstSign, int ready, int lost, int sent, Integer youngPlants) {
            this(firstSign, ready, lost, sent, youngPlants, false);
        }

        /** The same, with so many sent away. */
        Counted withSent(int other) {
            return new Counted(firstSign, ready, lost, other, youngPlants, gaveUp, lostReady, cause);
        }
    }

    /** One piece; what nobody noted is null. */
    public record Seen(
            int piece,
            LookKind look,
            PieceState state,
            LossCause cause,
            Integer rootMm,
            Boolean sideRoots,
            Boolean topGrowth,
            Firmness firmness,
            String note) {

        /** The same, read otherwise; of what is lost nobody has said the cause. */
        Seen as(PieceState other) {
            LossCause of = other != PieceState.LOST ? null : cause == null ? LossCause.UNKNOWN : cause;
            return new Seen(piece, look, other, of, rootMm, sideRoots, topGrowth, firmness, note);
        }

        /** The same, looked at otherwise. */
        Seen by(LookKind other) {
            return new Seen(piece, other, state, cause, rootMm, sideRoots, topGrowth, firmness, note);
        }
    }

    /** The same look under another id. */
    public LookCommand withClientId(UUID other) {
        return new LookCommand(other, lookedOn, look, counts, pieces, note, knownChanges);
    }

    /** A look by count. */
    public static LookCommand ofCounts(
            UUID clientId, LocalDate lookedOn, LookKind look, Counted counts, String note, Integer knownChanges) {
        return new LookCommand(clientId, lookedOn, look, counts, List.of(), note, knownChanges);
    }

    /** A look by piece. */
    public static LookCommand ofPieces(
            UUID clientId, LocalDate lookedOn, LookKind look, List<Seen> pieces, String note, Integer knownChanges) {
        return new LookCommand(clientId, lookedOn, look, null, pieces, note, knownChanges);
    }
}
