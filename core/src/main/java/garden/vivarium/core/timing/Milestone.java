package garden.vivarium.core.timing;

/** A dated turning point of a piece, in the order in which they come. Day 0 is the day stuck. */
public enum Milestone {
    /** The first evidence by method: new roots, a bud, a shoot through the surface. */
    FIRST_SIGN("first sign"),
    /** The protocol's test for moving on. For families potted on day 0 this is the same as established. */
    READY("ready"),
    /** Settled after the move: holds and grows. */
    ESTABLISHED("settled");

    private final String word;

    Milestone(String word) {
        this.word = word;
    }

    /** The word that growers read on a page. */
    public String word() {
        return word;
    }
}
