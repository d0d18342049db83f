package garden.vivarium.app.batch;

/** Somebody else changed the batch since the writer last saw it: both sides should be shown before either is kept. */
class StaleBatch extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final int changes;

    StaleBatch(int changes) {
        super("the batch has changed meanwhile");
        this.changes = changes;
    }

    /** How many changes the batch has seen now. */
    int changes() {
        return changes;
    }
}
