package garden.vivarium.app.batch;

/** How far pieces had come when they were sent away. */
public enum SentState {
    /** Left unjudged: nobody here will know whether they would have rooted. */
    UNROOTED("not rooted yet"),
    /** Rooted, and so counted. */
    READY("rooted"),
    /** Young plants in their pots. */
    POTTED("potted");

    private final String words;

    SentState(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
