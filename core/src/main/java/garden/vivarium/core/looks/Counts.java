package garden.vivarium.core.looks;

/**
 * Where the pieces of a batch stand.
 *
 * @param stuck all pieces
 * @param firstSign pieces that have reached first sign or beyond
 * @param ready pieces that have become ready, even if lost later
 * @param lost pieces lost before they were ready
 * @param sent pieces that left unjudged
 * @param lostReady pieces lost after they were ready
 */
public record Counts(int stuck, int firstSign, int ready, int lost, int sent, int lostReady) {

    /** Pieces neither ready, lost nor sent. */
    public int pending() {
        return stuck - ready - lost - sent;
    }
}
